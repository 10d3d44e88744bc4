import type { Part } from '../drawing';

/** Slices a tile is drawn in. Few enough for draw calls, many enough that most are wholly sharp, far or behind. */
const SLICES = 16;

/**
 * A grid's particles lie in layers along the tile already: a part is a stretch of layers, widened by what jitter moves.
 * @param across particles of one layer; @param layers of the tile; @param jitter share of a row
 */
export function gridParts(across: number, layers: number, jitter: number): { order: Uint32Array; parts: Part[] } {
  const slices = Math.min(SLICES, layers);
  const wide = (0.5 * jitter) / layers;
  const parts = Array.from({ length: slices }, (_, s) => {
    const from = Math.round((s * layers) / slices);
    const to = Math.round(((s + 1) * layers) / slices);
    return { from: from / layers - wide, to: to / layers + wide, first: from * across, count: (to - from) * across };
  });
  return { order: Uint32Array.from({ length: across * layers }, (_, id) => id), parts };
}

/**
 * The particles of a field sorted into slices along the tile, so that each slice is drawn only into the sizes its blur
 * needs and not at all when it is behind the camera.
 * @param depthOf where a particle is, 0..1 of the tile, from its end to where it begins
 * @returns order: particle ids; parts: stretches of it, with the share of the tile's length each lies in
 */
export function sliceOrder(count: number, depthOf: (id: number) => number): { order: Uint32Array; parts: Part[] } {
  const slice = new Uint8Array(count);
  const starts = new Uint32Array(SLICES + 1);
  for (let id = 0; id < count; id++) {
    // local z runs backwards: the kernel's third coordinate 1 is where the tile begins
    slice[id] = Math.min(SLICES - 1, Math.floor((1 - depthOf(id)) * SLICES));
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
