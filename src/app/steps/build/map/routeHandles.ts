import { circuitPoints, standing, type CircuitRoute } from '../../../../core/flight/routes/circuit/circuit';
import { viewPlace } from '../../../../core/flight/routes/view';
import type { Piece } from '../../../../core/piece/schema';
import type { Vec3 } from '../../../../core/space/vector';
import { newId } from '../../../state/edit';
import type { Lane, MapView } from './view';

/** A place of the flight that is marked in the map: a point of a circuit, a station, or a point that is a target. */
export interface Mark {
  id: string;
  /** a number from 1, or what the target is for */
  words: string;
  at: Vec3;
  target: boolean;
}

/** Targets of a flight by their field, with what each is for and when it is in use. */
const TARGETS = {
  aimAt: { words: 'aim', used: (f: Flight) => f.aim === 'target' },
  focusAt: { words: 'focus', used: (f: Flight) => f.focusOn === 'target' },
  pullAt: { words: 'pull', used: (f: Flight) => f.pullTo === 'target' },
  holdAt: { words: 'hold', used: (f: Flight) => f.lens === 'perspective' && f.hold !== 'none' },
} as const;
type Flight = Piece['flight'];
type TargetName = keyof typeof TARGETS;
const isTarget = (id: string): id is TargetName => id in TARGETS;

/** Points that are targets and stand still: those that move are set over the lap. */
function targetMarks(flight: Flight): Mark[] {
  return (Object.keys(TARGETS) as TargetName[]).flatMap((id) => {
    const { words, used } = TARGETS[id];
    const { on, aside, above, ahead } = flight[id];
    if (!used(flight) || on !== 'point') return [];
    if (typeof aside !== 'number' || typeof above !== 'number' || typeof ahead !== 'number') return [];
    return [{ id, words, at: [aside, above, -ahead] as Vec3, target: true }];
  });
}

/** What is marked of a flight. */
export function routeMarks({ flight }: Piece): Mark[] {
  const { route } = flight;
  const marks = targetMarks(flight);
  const numbered = (id: string, i: number, at: Vec3): Mark => ({ id, words: String(i + 1), at, target: false });
  if (route.kind === 'circuit') {
    const places = circuitPoints(route);
    return [...route.points.map(({ id }, i) => numbered(id, i, places[i])), ...marks];
  }
  if (route.kind === 'stations')
    return [...route.stops.map((stop, i) => numbered(stop.id, i, viewPlace(stop))), ...marks];
  return marks;
}

/** The mark under a pointer. */
export function hitPoint(piece: Piece, view: MapView, x: number, y: number): { id: string; lane: Lane } | null {
  const lane = view.laneAt(x, y);
  const far = ({ at }: Mark): number =>
    Math.hypot(view.x(-at[2], lane) - x, view.y(at[lane === 'plan' ? 0 : 1], lane) - y);
  const nearest = routeMarks(piece)
    .sort((a, b) => far(a) - far(b))
    .at(0);
  return nearest && far(nearest) < 9 ? { id: nearest.id, lane } : null;
}

const round = (v: number): number => Number(v.toFixed(3)) + 0;
type Pixels = readonly [number, number];

/** The flight with a mark dragged from one place of the map to another; sideways in plan, in height from the side. */
export function draggedPoint(flight: Flight, id: string, lane: Lane, view: MapView, from: Pixels, to: Pixels): Flight {
  const { route } = flight;
  const ahead = (to[0] - from[0]) / view.perMetre;
  const across = -(to[1] - from[1]) / view.across;
  const side = lane === 'plan' ? 'aside' : 'above';
  const shifted = <T extends { aside: unknown; above: unknown; ahead: unknown }>(place: T): T => ({
    ...place,
    ahead: round(Number(place.ahead) + ahead),
    [side]: round(Number(place[side]) + across),
  });
  if (isTarget(id)) return { ...flight, [id]: shifted(flight[id]) };
  if (route.kind === 'stations')
    return { ...flight, route: { ...route, stops: route.stops.map((s) => (s.id === id ? shifted(s) : s)) } };
  if (route.kind !== 'circuit') return flight;
  const by: Vec3 = lane === 'plan' ? [across, 0, -ahead] : [0, across, -ahead];
  const { toWorld, fromWorld } = standing(route);
  const points = route.points.map((point, i) => {
    if (point.id !== id) return point;
    const place = toWorld(point, i);
    const moved = fromWorld([place[0] + by[0], place[1] + by[1], place[2] + by[2]], i);
    return { id, aside: round(moved.aside), above: round(moved.above), ahead: round(moved.ahead) };
  });
  return { ...flight, route: { ...route, points } };
}

/** A circuit with a point more where the map was clicked, put into the stretch it is nearest to. */
export function addPointAt(route: CircuitRoute, view: MapView, [x, y]: Pixels): { route: CircuitRoute; id: string } {
  const lane = view.laneAt(x, y);
  const ahead = view.along(x, lane);
  const off = view.off(y, lane);
  const places = circuitPoints(route);
  const k = lane === 'plan' ? 0 : 1;
  const flat = (p: Vec3): Pixels => [-p[2], p[k]];
  const apart = (a: Pixels, b: Pixels): number => Math.hypot(a[0] - b[0], a[1] - b[1]);
  const detour = (i: number): number => {
    const [a, b] = [flat(places[i]), flat(places[(i + 1) % places.length])];
    return apart(a, [ahead, off]) + apart([ahead, off], b) - apart(a, b);
  };
  const after = places.reduce((best, _, i) => (detour(i) < detour(best) ? i : best), 0);
  const [a, b] = [places[after], places[(after + 1) % places.length]];
  // the third coordinate, which a lane does not show, lies between the neighbours
  const hidden = (a[1 - k] + b[1 - k]) / 2;
  const place: Vec3 = lane === 'plan' ? [off, hidden, -ahead] : [hidden, off, -ahead];
  const where = standing({ ...route, stray: 0 }).fromWorld(place, 0);
  const id = newId('point');
  const point = { id, aside: round(where.aside), above: round(where.above), ahead: round(where.ahead) };
  return {
    route: { ...route, points: [...route.points.slice(0, after + 1), point, ...route.points.slice(after + 1)] },
    id,
  };
}
