import { standAt, UNPLACED } from '../elements/place/form';
import { placementTurn } from '../elements/place/place';
import type { Read } from '../flight/routes/definition';
import { definitionOf } from '../layers/kinds';
import type { Piece } from '../piece/schema';

/** Where a layer is read from at a phase, which is not wrapped, whatever way it is turned by then; null of those that read from everywhere. */
export function readOf(piece: Piece, layerId: string | null, phase: number): Read | null {
  const layer = piece.layers.find(({ id }) => id === layerId);
  const { reads, placed } = layer ? definitionOf(layer.kind) : {};
  if (!layer || !reads) return null;
  const stand = standAt(placed?.(layer, piece.tile) ?? UNPLACED, phase);
  const { turn, distance, half } = reads(layer);
  return {
    middle: [stand.aside, stand.above, -stand.ahead],
    stands: placementTurn(stand),
    turn,
    distance: distance * stand.scale,
    half: [half[0] * stand.scale, half[1] * stand.scale],
  };
}
