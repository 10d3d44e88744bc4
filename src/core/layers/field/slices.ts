import { RF, orderedPoint } from '../../random/order.gen';
import type { Part } from '../definition';

/** Slices a tile is drawn in. Few enough for draw calls, many enough that most are wholly sharp, far or behind. */
const SLICES = 16;

/**
 * The particles of a field sorted into slices along the tile, so that each slice is drawn only into the sizes its blur
 * needs and not at all when it is behind the camera. Depends on nothing but count and seed.
 * @returns order: particle ids; parts: stretches of it, with the share of the tile's length each lies in
 */
export function sliceOrder(count: number, seed: number): { order: Uint32Array; parts: Part[] } {
  const slice = new Uint8Array(count);
  const starts = new Uint32Array(SLICES + 1);
  for (let id = 0; id < count; id++) {
    orderedPoint(id, seed);
    // local z runs backwards: the kernel's third coordinate 1 is where the tile begins
    slice[id] = Math.min(SLICES - 1, Math.floor((1 - RF[2]) * SLICES));
    starts[slice[id] + 1]++;
  }
  for (let s = 0; s < SLICES; s++) starts[s + 1] += starts[s];
  const next = starts.slice();
  const order = new Uint32Array(count);
  for (let id = 0; id < count; id++) order[next[slice[id]]++] = id;
  const parts = Array.from({ length: SLICES }, (_, s) => ({
    from: s / SLICES,
    to: (s + 1) / SLICES,
    first: starts[s],
    count: starts[s + 1] - starts[s],
  }));
  return { order, parts };
}
