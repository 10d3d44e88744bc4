import { circuitPoints, standing, type CircuitRoute } from '../../../../core/flight/routes/circuit/circuit';
import type { Route } from '../../../../core/flight/routes/registry';
import { viewPlace } from '../../../../core/flight/routes/view';
import type { Piece } from '../../../../core/piece/schema';
import type { Vec3 } from '../../../../core/space/vector';
import { newId } from '../../../state/edit';
import type { Lane, MapView } from './view';

/** A place of a route that is marked in the map: a point of a circuit, or a station. */
export interface Mark {
  id: string;
  /** counted from 1 */
  number: number;
  at: Vec3;
}

/** What is marked of a route; only circuits and stations have such places. */
export function routeMarks({ flight: { route } }: Piece): Mark[] {
  if (route.kind === 'circuit') {
    const places = circuitPoints(route);
    return route.points.map(({ id }, i) => ({ id, number: i + 1, at: places[i] }));
  }
  if (route.kind === 'stations')
    return route.stops.map((stop, i) => ({ id: stop.id, number: i + 1, at: viewPlace(stop) }));
  return [];
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

/** The route with a mark dragged from one place of the map to another; sideways in plan, in height from the side. */
export function draggedPoint(route: Route, id: string, lane: Lane, view: MapView, from: Pixels, to: Pixels): Route {
  const ahead = (to[0] - from[0]) / view.perMetre;
  const across = -(to[1] - from[1]) / view.across;
  const by: Vec3 = lane === 'plan' ? [across, 0, -ahead] : [0, across, -ahead];
  if (route.kind === 'stations') {
    const side = lane === 'plan' ? 'aside' : 'above';
    return {
      ...route,
      stops: route.stops.map((stop) =>
        stop.id === id ? { ...stop, ahead: round(stop.ahead + ahead), [side]: round(stop[side] + across) } : stop,
      ),
    };
  }
  if (route.kind !== 'circuit') return route;
  const { toWorld, fromWorld } = standing(route);
  return {
    ...route,
    points: route.points.map((point, i) => {
      if (point.id !== id) return point;
      const place = toWorld(point, i);
      const moved = fromWorld([place[0] + by[0], place[1] + by[1], place[2] + by[2]], i);
      return { id, aside: round(moved.aside), above: round(moved.above), ahead: round(moved.ahead) };
    }),
  };
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
