import { isJson, numberOr, taken, type Json } from './json';

/** What copies were exchanged for is one of a list. */
function layerOfVersion7(layer: unknown): unknown {
  if (!isJson(layer) || layer.kind !== 'copies') return layer;
  const { values, rest } = taken(layer, 'exchange', 'exchangeFrom', 'exchangeTo');
  const [body = 'none', from, to] = values;
  if (body === 'none') return rest;
  return { ...rest, exchanges: [{ id: 'exchange', body, from: numberOr(from, 60), to: numberOr(to, 120) }] };
}

/** Version 7 had one exchange of a layer of copies. */
export const from7 = (piece: Json): Json =>
  Array.isArray(piece.layers) ? { ...piece, layers: piece.layers.map(layerOfVersion7) } : piece;
