import { indicesOf } from '../../arrangement';
import { memo } from '../../memo';
import { hash4, unitFrom } from '../../random/hash';
import type { ScreenLayer } from './form';

/** A panel: which of all it is, what it shows by its number in the list, and its turn among those that show it. */
export interface Dealt {
  index: number;
  shows: number;
  order: number;
}

/** Which of several shares a number 0..1 falls into. */
function shareAt(weights: readonly number[], at: number): number {
  const total = weights.reduce((sum, w) => sum + w, 0);
  if (total <= 0) return 0;
  let left = at * total;
  for (const [i, w] of weights.entries()) {
    if (left < w) return i;
    left -= w;
  }
  return weights.length - 1;
}

const chance = (index: number, seed: number): number => unitFrom(hash4(index, seed, 73, 0)[0]);

function showsAt(layer: ScreenLayer, index: number, total: number): number {
  const all = layer.shows.length;
  switch (layer.dealt) {
    case 'order':
      return index % all;
    case 'chance':
      return Math.floor(chance(index, layer.seed) * all);
    case 'weight':
      // as many as its weight says, to the nearest whole panel; which of them by chance
      return shareAt(
        layer.shows.map(({ weight }) => weight),
        (shuffled(total, layer.seed)[index] + 0.5) / total,
      );
  }
}

const orders = memo<Int32Array>(24);

/** Numbers up to a count in an order of chance. */
const shuffled = (count: number, seed: number): Int32Array =>
  orders(`${count} ${seed}`, () => {
    const keys = Array.from({ length: count }, (_, i) => chance(i, seed));
    const sorted = keys.map((_, i) => i).sort((a, b) => keys[a] - keys[b] || a - b);
    const out = new Int32Array(count);
    sorted.forEach((i, at) => (out[i] = at));
    return out;
  });

const dealt = memo<readonly Dealt[]>(24);

/** What deals out the panels. */
const keyOf = (layer: ScreenLayer, indices: readonly number[], total: number): string =>
  JSON.stringify([layer.dealt, layer.seed, layer.shows.map(({ weight }) => weight), indices.length, indices[1], total]);

/** The panels that are drawn at a share, those that show the same one after another. @param total of the finished layer */
export function dealOf(layer: ScreenLayer, share: number, total: number): readonly Dealt[] {
  const indices = indicesOf(layer, share);
  return dealt(keyOf(layer, indices, total), () => {
    const panels = indices.map((index) => ({
      index,
      shows: layer.shows.length > 0 ? showsAt(layer, index, total) : 0,
    }));
    const counts = new Map<number, number>();
    for (const { shows } of panels) counts.set(shows, (counts.get(shows) ?? 0) + 1);
    const turn = new Map<number, number>();
    return panels
      .map((panel): Dealt => {
        const at = turn.get(panel.shows) ?? 0;
        turn.set(panel.shows, at + 1);
        // spread over a circle: the last is a step before the first
        return { ...panel, order: at / (counts.get(panel.shows) ?? 1) };
      })
      .sort((a, b) => a.shows - b.shows || a.index - b.index);
  });
}
