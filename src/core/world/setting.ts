import type { RouteSetting } from '../flight/routes/definition';
import { nameIn } from '../layers/kinds';
import type { Piece } from '../piece/schema';
import { routeOfLayer } from './route';

/** What a route is described by, of a piece. */
export const routeSetting = (piece: Piece): RouteSetting => ({
  tile: piece.tile,
  frames: piece.lap.frames,
  routeOf: (layerId) => routeOfLayer(piece, layerId),
  nameOf: (layerId, element) => {
    const layer = piece.layers.find(({ id }) => id === layerId);
    return layer && nameIn(layer, element);
  },
});
