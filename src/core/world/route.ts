import { closesOnItself, STRAIGHT, type RouteShape } from '../elements/course';
import { definitionOf, routedBy, type Layer } from '../layers/kinds';
import type { Piece } from '../piece/schema';

/** The route of a layer by id: its own, or that of the layer it follows; straight for all others. */
export function routeOfLayer(piece: Piece, layerId: string | null): RouteShape {
  const layer = piece.layers.find(({ id }) => id === layerId);
  const routed = layer && piece.layers.find(({ id }) => id === routedBy(layer));
  return (routed && definitionOf(routed.kind).route?.(routed, piece.tile)) ?? STRAIGHT;
}

/** Whether a layer hangs on the camera. */
export const rides = (layer: Layer): boolean => definitionOf(layer.kind).rides?.(layer) === true;

/** Whether a layer is there once rather than in every tile: as it is told to, since its route closes on itself, or since it hangs on the camera. */
export const standsOnce = (piece: Piece, layer: Layer): boolean =>
  layer.once ||
  rides(layer) ||
  ((definitionOf(layer.kind).liesAlong?.(layer) ?? true) && closesOnItself(routeOfLayer(piece, layer.id)));
