import { facing } from '../../../space/frame';
import { animated, form, integer, number, tag, type ValueOf } from '../../../forms';
import { add, fromAxis, length, multiply, rotate, subtract, type Quaternion, type Vec3 } from '../../../space/vector';
import { evaluateAnimated } from '../../../time/animated';
import { target } from '../../target';
import { OWN, type Place, type RouteDefinition, type RouteWorld } from '../definition';
import { lengthOf, placeOn } from '../moving';

const metres = { unit: 'm', min: -10_000, max: 10_000 };
const degrees = { unit: '°', min: -3600, max: 3600, comfort: 180, decimals: 1 };

const OrbitForm = form({
  kind: tag('orbit'),
  around: target({}, { label: 'Around', hint: 'The middle of the orbit.' }),
  radius: animated(6, { label: 'Radius', ...metres, min: 0, comfort: 20, hint: 'Metres from the middle.' }),
  height: animated(0, { label: 'Height', ...metres, comfort: 6, hint: 'Metres above the middle.' }),
  tilt: number(0, {
    label: 'Tilt',
    ...degrees,
    comfort: 60,
    hint: 'Degrees the orbit leans; only whole turns close then.',
  }),
  toward: number(0, {
    label: 'Tilt toward',
    ...degrees,
    hint: 'The heading in which a tilted orbit is lowest, in degrees to the right of the way ahead.',
  }),
  symmetry: integer(1, {
    label: 'World repeats',
    unit: 'times a turn',
    min: 1,
    max: 360,
    comfort: 24,
    hint: 'How often the world looks the same in one turn about the middle: a ring of 20 allows twentieths of a turn.',
  }),
  turnsPerLap: number(1, {
    label: 'Turns',
    perLap: true,
    unit: 'turns per lap',
    min: -64,
    max: 64,
    comfort: 2,
    decimals: 3,
    hint: 'To the right about the middle; whole steps of the world’s symmetry close.',
  }),
  from: number(0, {
    label: 'From',
    ...degrees,
    hint: 'Where the lap begins: 0 is before the middle, 90 to its right, in degrees.',
  }),
});
export type OrbitRoute = ValueOf<typeof OrbitForm>;

const DEGREE = Math.PI / 180;

/** How the plane of the orbit is turned out of the level. */
function leaning({ tilt, toward }: OrbitRoute): Quaternion {
  const heading = fromAxis([0, 1, 0], -toward * DEGREE);
  const back = fromAxis([0, 1, 0], toward * DEGREE);
  return multiply(heading, multiply(fromAxis([1, 0, 0], -tilt * DEGREE), back));
}

const orbitSymmetric = (route: OrbitRoute): boolean => route.tilt === 0 && route.symmetry > 1;

export const orbit: RouteDefinition<OrbitRoute> = {
  kind: 'orbit',
  label: 'Orbit',
  describe: 'Around a point or a layer, in whole turns or in steps of its symmetry.',
  form: OrbitForm,
  timed: false,
  begin({ middle, radius }) {
    return {
      around: { on: 'point', aside: middle[0], above: middle[1], ahead: -middle[2], layer: null, element: 0 },
      radius: Number((radius * 1.4).toPrecision(3)),
      height: Number((radius * 0.3).toPrecision(2)),
    };
  },
  inParts(route, parts) {
    if (route.tilt !== 0) return null;
    return { ...route, symmetry: parts, turnsPerLap: (route.turnsPerLap < 0 ? -1 : 1) / parts };
  },
  travel(route, { middleOf }) {
    const whole = Math.abs(route.turnsPerLap - Math.round(route.turnsPerLap)) < 1e-9;
    const { aside, above, ahead } = route.around;
    const still = [aside, above, ahead].map((v) => evaluateAnimated(v, 0));
    const layer = route.around.on === 'point' ? null : middleOf(route.around.layer);
    return {
      advance: 0,
      turns: whole ? 0 : route.turnsPerLap,
      axis: [0, 1, 0],
      centre: layer ?? [still[0], still[1], -still[2]],
    };
  },
  track(route, world: RouteWorld) {
    const plane = leaning(route);
    const middle = (phase: number): Vec3 => world.sight(route.around, phase).position;
    const at = (phase: number): Vec3 => {
      const a = route.from * DEGREE + 2 * Math.PI * route.turnsPerLap * world.share(phase);
      const radius = evaluateAnimated(route.radius, phase);
      const flat: Vec3 = [Math.sin(a) * radius, evaluateAnimated(route.height, phase), Math.cos(a) * radius];
      return add(middle(phase), rotate(plane, flat));
    };
    const place = (phase: number): Place => {
      const here = placeOn(at, phase);
      const faces = middle(phase);
      const inwards = subtract(faces, here.position);
      return { ...here, faces, own: length(inwards) > 1e-6 ? facing(inwards, [0, 1, 0]) : null };
    };
    return { length: lengthOf(at), at: place };
  },
  summary: ({ turnsPerLap, radius }) =>
    `orbit · ${Number(turnsPerLap.toFixed(3))} turns · ${Number(evaluateAnimated(radius, 0).toFixed(2))} m`,
  facing: () => OWN,
  closingSteps: (route) => ({ turnsPerLap: orbitSymmetric(route) ? 1 / route.symmetry : 1 }),
};
