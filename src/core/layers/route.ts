import type { Piece } from '../piece/schema';
import type { RouteShape } from './definition';
import { tunnelRoute } from './tunnel/tunnel';

/** The layer whose route a layer takes: itself, or the tunnel it follows. */
export const routedBy = (layer: Piece['layers'][number]): string | null =>
  layer.kind === 'tunnel' ? layer.id : 'follow' in layer && typeof layer.follow === 'string' ? layer.follow : null;

/** The route shape of a layer by id: a tunnel's own, or that of the tunnel it follows; straight for all others. */
export function routeOfLayer(piece: Piece, layerId: string | null): RouteShape {
  const layer = piece.layers.find(({ id }) => id === layerId);
  const tunnel = layer && piece.layers.find(({ id }) => id === routedBy(layer));
  return tunnel?.kind === 'tunnel' ? tunnelRoute(tunnel, piece.tile) : { radius: 0, turnsPerMetre: 0 };
}
