import { lensFor, newRoute } from '../../../../core/world/newRoute';
import { readOf } from '../../../../core/world/reading';
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

/** The piece with a route of another kind that fits it, facing as such a route would, through the lens it is for. @param fields of the route that are known */
export function withRoute(piece: Piece, kind: RouteKind, phase: number, fields: object = {}): Piece {
  const pose = cameraPose(piece, phase);
  const route = { ...newRoute(kind, piece, pose), ...fields };
  const turned = routeOf(kind).facing(route, viewOf(pose));
  return withFlight(piece, { route, aside: 0, above: 0, ...turned, ...lensFor(route, piece) });
}

/** The piece with the camera where a layer of it reads right, as near as that needs. */
export function withReading(piece: Piece, layerId: string, phase: number): Piece {
  const read = readOf(piece, layerId, phase);
  if (!read) return piece;
  const back = read.distance > 0 ? read.distance : Math.max(6, Number((4 * Math.max(...read.half)).toPrecision(2)));
  // what turns the camera, or blurs by depth, would show how it is made; where the camera stays the figure may stand once
  const flown = withRoute(piece, 'reading', phase, { of: layerId, back, aside: 0, over: 0 });
  const { focusAt } = flown.flight;
  return withFlight(
    { ...flown, layers: flown.layers.map((layer) => (layer.id === layerId ? { ...layer, once: true } : layer)) },
    {
      ...{ yaw: 0, pitch: 0, roll: 0, bank: 0, handScale: 0 },
      ...{ focusOn: 'target', focusAt: { ...focusAt, on: 'layer', layer: layerId }, pullTo: 'none', fNumber: 22 },
    },
  );
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
