import type { Piece } from '../piece/schema';
import { closesOnItself, STRAIGHT } from './course';
import type { RouteShape } from './definition';
import type { Layer } from './registry';
import { tunnelRoute } from './tunnel/tunnel';

/** The layer whose route a layer takes: itself, or the tunnel it follows. */
export const routedBy = (layer: Layer): string | null =>
  layer.kind === 'tunnel' ? layer.id : 'follow' in layer && typeof layer.follow === 'string' ? layer.follow : null;

/** The route shape of a layer by id: a tunnel's own, or that of the tunnel it follows; straight for all others. */
export function routeOfLayer(piece: Piece, layerId: string | null): RouteShape {
  const layer = piece.layers.find(({ id }) => id === layerId);
  const tunnel = layer && piece.layers.find(({ id }) => id === routedBy(layer));
  return tunnel?.kind === 'tunnel' ? tunnelRoute(tunnel, piece.tile) : STRAIGHT;
}

/** Whether a layer's elements lie along the route it names. */
const liesAlong = (layer: Layer): boolean =>
  layer.kind === 'copies' ? layer.arrangement === 'route' : layer.kind === 'stream' ? layer.travels : true;

/** Whether a layer is there once rather than in every tile: as it is told to, or since its route closes on itself. */
export const standsOnce = (piece: Piece, layer: Layer): boolean =>
  layer.once || (liesAlong(layer) && closesOnItself(routeOfLayer(piece, layer.id)));
