/** Elements to be matched as a set: where they are, and what they look like. */
export interface Elements {
  count: number;
  position: Float64Array;
  scale: Float64Array;
  place: Float64Array;
  /** what is there at their places, linear, three numbers each, where that is known: then it counts, and not the place */
  colour?: Float64Array;
  light: Float64Array;
}

/** A gap this small is rounding. */
const SAME = 1e-4;

export interface Match {
  /** worst difference found, as a share of the extent (positions) or of the range (look) */
  gap: number;
  /** for each element of the first set its partner in the second */
  pairs: Int32Array;
}

/**
 * Matches two sets of elements under wrapping of z by `tile`: each element with the nearest of the other set that looks
 * most alike. A ring turned by one side of its polygon matches although every single corner has moved.
 * @param extent metres that count as a gap of 1
 */
export function worstMatch(a: Elements, b: Elements, tile: number, extent: number): Match {
  // small enough that crowded places, such as the vertices of one body, do not fall into one cell
  const cell = Math.max(extent / Math.min(160, Math.max(40, Math.sqrt(b.count))), 1e-5);
  // an infinite tile does not wrap
  const wraps = Number.isFinite(tile) ? Math.max(1, Math.round(tile / cell)) : 2 ** 30;
  const depth = Number.isFinite(tile) ? tile / wraps : cell;
  const zCell = (z: number): number => ((Math.floor(z / depth) % wraps) + wraps) % wraps;
  const grid = new Map<string, number[]>();
  const key = (x: number, y: number, z: number): string => `${x},${y},${z}`;
  for (let j = 0; j < b.count; j++) {
    const k = key(
      Math.floor(b.position[j * 3] / cell),
      Math.floor(b.position[j * 3 + 1] / cell),
      zCell(b.position[j * 3 + 2]),
    );
    const list = grid.get(k);
    if (list) list.push(j);
    else grid.set(k, [j]);
  }
  const pairs = new Int32Array(a.count);
  let gap = 0;
  for (let i = 0; i < a.count; i++) {
    const [x, y, z] = [a.position[i * 3], a.position[i * 3 + 1], a.position[i * 3 + 2]];
    const [cx, cy, cz] = [Math.floor(x / cell), Math.floor(y / cell), zCell(z)];
    // its own successor first: where two elements stand in one place, only that one moves as it does
    let partner = i < b.count ? i : 0;
    let best = Math.min(1, difference(a, i, b, partner, x, y, z, tile, extent));
    if (best < SAME) {
      pairs[i] = partner;
      gap = Math.max(gap, best);
      continue;
    }
    for (let dx = -1; dx <= 1; dx++)
      for (let dy = -1; dy <= 1; dy++)
        for (let dz = -1; dz <= 1; dz++)
          for (const j of grid.get(key(cx + dx, cy + dy, (((cz + dz) % wraps) + wraps) % wraps)) ?? []) {
            const score = difference(a, i, b, j, x, y, z, tile, extent);
            if (score < best) {
              best = score;
              partner = j;
            }
          }
    pairs[i] = partner;
    gap = Math.max(gap, best);
  }
  return { gap, pairs };
}

function difference(
  a: Elements,
  i: number,
  b: Elements,
  j: number,
  x: number,
  y: number,
  z: number,
  tile: number,
  extent: number,
): number {
  const dx = x - b.position[j * 3];
  const dy = y - b.position[j * 3 + 1];
  let dz = z - b.position[j * 3 + 2];
  if (Number.isFinite(tile)) dz -= tile * Math.round(dz / tile);
  const apart = Math.hypot(dx, dy, dz) / extent;
  const size = Math.abs(a.scale[i] - b.scale[j]) / Math.max(a.scale[i], b.scale[j], 1e-9);
  const look = a.colour && b.colour ? colourApart(a.colour, i, b.colour, j) : Math.abs(a.place[i] - b.place[j]);
  const light = Math.abs(a.light[i] - b.light[j]) / Math.max(a.light[i], b.light[j], 1e-9);
  return Math.max(apart, size, look, light);
}

const colourApart = (a: Float64Array, i: number, b: Float64Array, j: number): number =>
  Math.max(Math.abs(a[i * 3] - b[j * 3]), Math.abs(a[i * 3 + 1] - b[j * 3 + 1]), Math.abs(a[i * 3 + 2] - b[j * 3 + 2]));
