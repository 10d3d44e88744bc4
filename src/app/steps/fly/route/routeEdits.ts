import { cameraPose } from '../../../../core/flight/camera';
import { newRoute } from '../../../../core/flight/middle';
import type { RouteKind } from '../../../../core/flight/routes/registry';
import type { Station, StationsRoute } from '../../../../core/flight/routes/stations/stations';
import { viewOf, type View } from '../../../../core/flight/routes/view';
import type { Piece } from '../../../../core/piece/schema';
import { newId } from '../../../state/edit';

type Flight = Piece['flight'];

const withFlight = (piece: Piece, change: Partial<Flight>): Piece => ({
  ...piece,
  flight: { ...piece.flight, ...change },
});

/** Where the camera faces on a new route: at what is in the middle, by the route's own direction, or ahead. */
function aimOn(piece: Piece, route: Flight['route'], pose: View): Partial<Flight> {
  switch (route.kind) {
    case 'circuit': {
      const middle = route.points.reduce((sum, p) => sum + p.above, 0) / route.points.length;
      const [aside, ahead] = [
        route.points.reduce((sum, p) => sum + p.aside, 0) / route.points.length,
        route.points.reduce((sum, p) => sum + p.ahead, 0) / route.points.length,
      ];
      const aimAt = { on: 'point', aside, above: middle, ahead, layer: null, element: 0 } as const;
      return { aim: 'target', aimAt, yaw: 0, pitch: 0 };
    }
    case 'keys':
      return { aim: 'own', yaw: pose.yaw, pitch: pose.pitch, roll: pose.roll / 360 };
    case 'orbit':
    case 'stations':
    case 'attached':
      return { aim: 'own', yaw: 0, pitch: 0, roll: 0 };
    case 'run':
    case 'along':
      return { aim: 'ahead' };
  }
}

/** The piece with a route of another kind that fits it, facing as such a route would. */
export function withRoute(piece: Piece, kind: RouteKind, phase: number): Piece {
  const pose = cameraPose(piece, phase);
  const route = newRoute(kind, piece, pose);
  return withFlight(piece, { route, aside: 0, above: 0, ...aimOn(piece, route, viewOf(pose)) });
}

/** A station more, at a view, after all others. */
export const addStation = (route: StationsRoute, view: View): StationsRoute => ({
  ...route,
  stops: [...route.stops, { id: newId('stop'), name: '', ...view, rest: 1, travel: 2 }],
});

/** A station changed; the others stay. */
export const changeStation = (route: StationsRoute, id: string, change: Partial<Station>): StationsRoute => ({
  ...route,
  stops: route.stops.map((stop) => (stop.id === id ? { ...stop, ...change } : stop)),
});

/** A station one place earlier or later, around the lap. */
export function shiftStation(route: StationsRoute, id: string, by: -1 | 1): StationsRoute {
  const at = route.stops.findIndex((stop) => stop.id === id);
  const to = (at + by + route.stops.length) % route.stops.length;
  const stops = [...route.stops];
  const [moved] = stops.splice(at, 1);
  stops.splice(to, 0, moved);
  return { ...route, stops };
}
