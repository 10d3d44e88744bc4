import { isJson, taken, type Json } from './json';

/** White lines on clear were said by a switch; alpha is a choice that all pictures have. */
function deliveryOfVersion9(delivery: unknown): unknown {
  if (!isJson(delivery) || !('clear' in delivery)) return delivery;
  const { values, rest } = taken(delivery, 'clear');
  return values[0] === true && delivery.shows === 'lines' ? { ...rest, alpha: 'straight' } : rest;
}

/** Version 9 had alpha for drawn lines alone. */
export const from9 = (piece: Json): Json =>
  Array.isArray(piece.deliveries) ? { ...piece, deliveries: piece.deliveries.map(deliveryOfVersion9) } : piece;
