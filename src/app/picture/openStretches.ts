import type { Piece } from '../../core/piece/schema';
import { bodiesOn } from '../../core/solids/exchange';
import { frameOfLap, stretchLasts } from '../../core/time/stretch';
import type { Appear } from '../../core/treatments/appear/appear';
import { stretchesOf } from './track';

/** Whether a treatment has what it acts on come and go. */
const appears = (treatment: { kind: string; off: boolean }): treatment is Appear =>
  treatment.kind === 'appear' && !treatment.off;

/** Stretches of the lap in which the first element of the layer that is open is there; none where it always is. */
export function openStretches(piece: Piece, open: string | null): { from: number; length: number }[] {
  const { frames } = piece.lap;
  const all = piece.layers.find(({ id }) => id === open)?.treatments.filter(appears) ?? [];
  if (all.length === 0) return [];
  const inside = (one: Appear, frame: number): boolean =>
    frameOfLap(frame - one.from, frames) < stretchLasts(one, frames);
  const there = Array.from({ length: frames }, (_, frame) => frame).filter((frame) =>
    all.every((one) => inside(one, frame) === (one.how === 'there')),
  );
  return stretchesOf(new Set(there), frames);
}

/** Stretches of the lap in which the first element of the layer that is open shows another body than its own, one exchange after another. */
export function openExchanges(piece: Piece, open: string | null): { from: number; length: number }[] {
  const { frames } = piece.lap;
  const layer = piece.layers.find(({ id }) => id === open);
  if (!layer || !('exchanges' in layer) || layer.exchanges.length === 0) return [];
  const { exchanges, seed } = layer;
  const first = { count: 1, numberOf: () => 0, total: 1, seed };
  const shown = Array.from({ length: frames }, (_, frame) => bodiesOn(exchanges, first, frame, frames)[0]);
  return exchanges.flatMap((_, i) =>
    stretchesOf(new Set(shown.flatMap((body, frame) => (body === i + 1 ? [frame] : []))), frames),
  );
}
