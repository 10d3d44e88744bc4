import { useMemo } from 'react';
import type { Piece } from '../../../../core/piece/schema';
import { dotsOf, type Dots } from './drawMap';
import { standing } from './handles';

/** What a map shows of every layer: what is carried about where it is at a phase, all else as it is in the middle of the lap. */
export function useDots(piece: Piece, phase: number): Dots[] {
  const carriedAt = standing(piece, phase) === piece ? 0 : phase;
  return useMemo(() => dotsOf(piece, carriedAt), [piece, carriedAt]);
}
