import { heldBy, withParts } from '../forms/walk';
import { PIECE, type Piece } from './schema';

/**
 * The piece with another lap, moving as before: what happens at a phase stays there, and what is counted in frames takes
 * as great a share of the lap as it did.
 */
export function retimed(piece: Piece, lap: Piece['lap']): Piece {
  const factor = lap.frames / piece.lap.frames;
  if (factor === 1) return { ...piece, lap };
  const scaled = withParts(PIECE, piece, (part) => {
    const changes = heldBy(part).flatMap(({ name, field: { control }, value }) => {
      if (!control?.retimes || typeof value !== 'number') return [];
      const exact =
        control.control === 'integer' ? Math.round(value * factor) : Number((value * factor).toPrecision(6));
      return [[name, Math.min(control.max ?? Infinity, Math.max(control.min ?? 0, exact))] as const];
    });
    return changes.length === 0 ? part.value : { ...part.value, ...Object.fromEntries(changes) };
  });
  return { ...scaled, lap };
}
