import { type CurvePoint, form, integer, number, points, seed, tag, type ValueOf } from '../../../forms';
import { hash4, unitFrom } from '../../../random/hash';
import { pathFromSpec } from '../../../space/path';
import {
  add,
  fromAxis,
  length,
  multiply,
  rotate,
  scale,
  subtract,
  type Quaternion,
  type Vec3,
} from '../../../space/vector';
import { worldAt } from '../../target';
import { STAYS, type RouteDefinition } from '../definition';

const degrees = { unit: '°', min: -3600, max: 3600, comfort: 60, decimals: 1 };

const CircuitForm = form({
  kind: tag('circuit'),
  /** in order; the last leads to the first */
  points: points(
    [
      [-3, 0, 4],
      [0, 0, 7],
      [3, 0, 4],
      [0, 0, 1],
    ],
    { label: 'Points', hint: 'The points the circuit goes through, drawn in the map.' },
  ),
  rounds: integer(1, {
    label: 'Rounds',
    perLap: true,
    unit: 'per lap',
    min: -16,
    max: 16,
    comfort: 3,
    hint: 'How often the circuit is flown in a lap; below zero the other way.',
  }),
  raise: number(0, {
    label: 'Raise',
    unit: 'm',
    min: -10_000,
    max: 10_000,
    comfort: 5,
    hint: 'The whole circuit higher or lower, in metres.',
  }),
  widen: number(1, {
    label: 'Widen',
    unit: '×',
    min: 0.01,
    max: 100,
    comfort: 3,
    hint: 'The whole circuit wider or narrower about its middle; heights stay.',
  }),
  tilt: number(0, { label: 'Tilt', ...degrees, hint: 'Degrees the whole circuit leans about its middle.' }),
  toward: number(0, {
    label: 'Tilt toward',
    ...degrees,
    comfort: 180,
    hint: 'The heading in which a tilted circuit is lowest, in degrees to the right of the way ahead.',
  }),
  stray: number(0, {
    label: 'Stray',
    unit: 'm',
    min: 0,
    max: 1000,
    comfort: 2,
    hint: 'Moves every point at random, by at most so many metres.',
  }),
  seed: seed({ label: 'Seed', hint: 'Another seed strays another way.' }),
});
export type CircuitRoute = ValueOf<typeof CircuitForm>;

const DEGREE = Math.PI / 180;

/** What moves the drawn points of a circuit to where they are flown; its inverse is for dragging them. */
export interface Standing {
  toWorld(point: CurvePoint, index: number): Vec3;
  fromWorld(place: Vec3, index: number): { aside: number; above: number; ahead: number };
}

/** How a circuit stands in the world. */
export function standing(route: CircuitRoute): Standing {
  const drawn = route.points.map(({ aside, above, ahead }) => worldAt(aside, above, ahead));
  const middle = scale(
    drawn.reduce((sum, p) => add(sum, p), [0, 0, 0]),
    1 / drawn.length,
  );
  const heading = fromAxis([0, 1, 0], -route.toward * DEGREE);
  const back = fromAxis([0, 1, 0], route.toward * DEGREE);
  const lean: Quaternion = multiply(heading, multiply(fromAxis([1, 0, 0], -route.tilt * DEGREE), back));
  const upright: Quaternion = [-lean[0], -lean[1], -lean[2], lean[3]];
  const strayed = (index: number): Vec3 => {
    // a direction and a distance, so that no point leaves its ball
    const h = hash4(index, route.seed, 71, 0);
    const z = unitFrom(h[0]) * 2 - 1;
    const a = unitFrom(h[1]) * 2 * Math.PI;
    const flat = Math.sqrt(1 - z * z);
    return scale([flat * Math.cos(a), z, flat * Math.sin(a)], route.stray * Math.cbrt(unitFrom(h[2])));
  };
  return {
    toWorld({ aside, above, ahead }, index) {
      const [x, y, z] = subtract(worldAt(aside, above, ahead), middle);
      const leaned = rotate(lean, [x * route.widen, y, z * route.widen]);
      return add(add(middle, leaned), add([0, route.raise, 0], strayed(index)));
    },
    fromWorld(place, index) {
      const [x, y, z] = rotate(upright, subtract(subtract(place, strayed(index)), add(middle, [0, route.raise, 0])));
      const [px, py, pz] = add(middle, [x / route.widen, y, z / route.widen]);
      return { aside: px, above: py, ahead: -pz };
    },
  };
}

/** The points of a circuit as flown. */
export function circuitPoints(route: CircuitRoute): Vec3[] {
  const { toWorld } = standing(route);
  return route.points.map(toWorld);
}

/** Where a new point belongs: after the point that begins the stretch to which it is the least detour. */
function placeAmong(points: readonly Vec3[], at: Vec3): number {
  let best = 0;
  let least = Infinity;
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length];
    const detour = length(subtract(at, p)) + length(subtract(q, at)) - length(subtract(q, p));
    if (detour < least) [least, best] = [detour, i + 1];
  });
  return best;
}

export const circuit: RouteDefinition<CircuitRoute> = {
  kind: 'circuit',
  label: 'Circuit',
  describe: 'A closed curve through points that are drawn in the map.',
  form: CircuitForm,
  timed: false,
  curve(route) {
    const { toWorld, fromWorld } = standing(route);
    // what strays does so by its index: a new point has none yet
    const loose = standing({ ...route, stray: 0 });
    return {
      field: 'points',
      points: route.points,
      gain: 0,
      toWorld,
      fromWorld: (place, i) => (i < route.points.length ? fromWorld : loose.fromWorld)(place, i),
    };
  },
  keeping: {
    label: () => 'Circuit point',
    there: true,
    keep(route, { position, id }) {
      const points = [...route.points];
      const where = standing({ ...route, stray: 0 }).fromWorld(position, 0);
      points.splice(placeAmong(circuitPoints(route), position), 0, { id, ...where });
      return { route: { ...route, points }, turn: null };
    },
  },
  facing({ points }) {
    const mean = (of: 'aside' | 'above' | 'ahead'): number => points.reduce((sum, p) => sum + p[of], 0) / points.length;
    const middle = { aside: mean('aside'), above: mean('above'), ahead: mean('ahead') };
    return { aim: 'target', aimAt: { on: 'point', ...middle, layer: null, element: 0 }, yaw: 0, pitch: 0 };
  },
  begin({ middle, radius }) {
    const round = (v: number): number => Number(v.toFixed(3));
    return {
      points: Array.from({ length: 8 }, (_, i) => {
        const a = (i / 8) * 2 * Math.PI;
        return {
          id: `p${i + 1}`,
          aside: round(middle[0] + 1.5 * radius * Math.sin(a)),
          above: round(middle[1] + 0.25 * radius),
          ahead: round(-middle[2] - 1.5 * radius * Math.cos(a)),
        };
      }),
    };
  },
  travel: () => STAYS,
  track(route, { share }) {
    const points = circuitPoints(route);
    const path = pathFromSpec({ kind: 'closed', points });
    return {
      length: Math.abs(route.rounds) * path.length,
      at(phase) {
        const s = route.rounds * share(phase) * path.length;
        const { tangent, up } = path.frameAt(s);
        const ahead = route.rounds < 0 ? scale(tangent, -1) : tangent;
        return { position: path.pointAt(s), tangent: ahead, up, own: null };
      },
    };
  },
  summary(route) {
    const points = circuitPoints(route);
    const wide = Math.max(...points.map((p) => length(subtract(p, points[0]))));
    return `circuit · ${route.points.length} points · ${wide.toFixed(1)} m wide`;
  },
  closingSteps: () => ({ rounds: 1 }),
};
