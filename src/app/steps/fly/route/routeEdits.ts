import { newRoute } from '../../../../core/world/newRoute';
import { cameraPose } from '../../../../core/world/camera';
import { routeOf, type RouteKind } from '../../../../core/flight/routes/kinds';
import type { Station, StationsRoute } from '../../../../core/flight/routes/stations/stations';
import { viewOf, type View } from '../../../../core/flight/routes/view';
import type { Piece } from '../../../../core/piece/schema';
import { newId } from '../../../state/edit';

type Flight = Piece['flight'];

const withFlight = (piece: Piece, change: Partial<Flight>): Piece => ({
  ...piece,
  flight: { ...piece.flight, ...change },
});

/** The piece with a route of another kind that fits it, facing as such a route would. */
export function withRoute(piece: Piece, kind: RouteKind, phase: number): Piece {
  const pose = cameraPose(piece, phase);
  const route = newRoute(kind, piece, pose);
  return withFlight(piece, { route, aside: 0, above: 0, ...routeOf(kind).facing(route, viewOf(pose)) });
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
