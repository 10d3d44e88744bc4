import type { GroundAt } from '../../noise/land';
import type { Part } from '../drawing';
import { hash4, unitFrom } from '../../random/hash';
import { poissonDisk } from '../../scatter/poisson';

/** Where plants may stand. */
export interface Masks {
  /** metres across and along the strip, and its middle aside */
  width: number;
  tile: number;
  aside: number;
  /** least metres between two plants */
  distance: number;
  /** metres to either side of the route that stay free */
  path: number;
  /** degrees the ground may rise at most */
  slope: number;
  /** metres of height they stand between */
  low: number;
  high: number;
  /** 0 even .. 1 in clumps, with gaps between; metres across a clump */
  clumps: number;
  clumpSize: number;
  seed: number;
}

/** Plants of one kind, in slices along the tile so that a slice that is not in sight is left out. */
export interface Stand {
  source: number;
  first: number;
  count: number;
  parts: Part[];
}

export interface Scattered {
  /** x, y, z and the normal's x and z in twelve bits each */
  rest: Float32Array;
  stands: Stand[];
}

const SLICES = 8;
const TWELVE = 4095;

/** A smooth hashed field 0..1 that repeats along z: where clumps are. */
function clumpAt(x: number, z: number, size: number, tile: number, seed: number): number {
  const along = Math.max(1, Math.round(tile / size));
  const [u, v] = [x / size, ((z / tile) % 1) * along];
  const [iu, iv] = [Math.floor(u), Math.floor(v)];
  const corner = (a: number, b: number): number =>
    unitFrom(hash4((iu + a) | 0, ((((iv + b) % along) + along) % along) | 0, seed, 64)[0]);
  const ease = (t: number): number => t * t * (3 - 2 * t);
  const [s, t] = [ease(u - iu), ease(v - iv)];
  return (corner(0, 0) * (1 - s) + corner(1, 0) * s) * (1 - t) + (corner(0, 1) * (1 - s) + corner(1, 1) * s) * t;
}

/**
 * Scatters plants over a strip of ground that repeats with the tile.
 * @param count wanted before the masks take some away
 * @param shares weight of each source; plants are shared out by chance in that proportion
 */
export function scatterPlants(count: number, shares: readonly number[], masks: Masks, at: GroundAt | null): Scattered {
  const points = poissonDisk([masks.width, 1e-6, masks.tile], count, masks.distance, true, masks.seed);
  const total = shares.reduce((sum, weight) => sum + weight, 0);
  const bins: number[][][] = shares.map(() => Array.from({ length: SLICES }, () => []));
  for (let i = 0; i < points.length / 3; i++) {
    const x = points[i * 3];
    const z = points[i * 3 + 2] - masks.tile / 2;
    const [h, g] = hash4(i, masks.seed, 65, 0).map(unitFrom);
    if (Math.abs(x + masks.aside) < masks.path) continue;
    if (masks.clumps > 0) {
      const here = clumpAt(x, z, masks.clumpSize, masks.tile, masks.seed);
      if (g < masks.clumps && here < 0.35 + 0.3 * g) continue;
    }
    const ground = at?.(x + masks.aside, z) ?? { height: 0, slopeX: 0, slopeZ: 0 };
    if (ground.height < masks.low || ground.height > masks.high) continue;
    const steep = Math.hypot(ground.slopeX, ground.slopeZ);
    if (Math.atan(steep) * (180 / Math.PI) > masks.slope) continue;
    let left = h * total;
    let source = 0;
    while (source < shares.length - 1 && left >= shares[source]) left -= shares[source++];
    const inverse = 1 / Math.hypot(1, steep);
    const twelve = (v: number): number => Math.round((v * inverse * 0.5 + 0.5) * TWELVE);
    const slice = Math.min(SLICES - 1, Math.floor((-z / masks.tile) * SLICES));
    bins[source][Math.max(0, slice)].push(
      x + masks.aside,
      ground.height,
      z,
      twelve(-ground.slopeX) * 4096 + twelve(-ground.slopeZ),
    );
  }
  const rest = new Float32Array(bins.flat(2).length);
  let first = 0;
  const stands = bins.map((slices, source): Stand => {
    const start = first;
    const parts = slices.map((values, s): Part => {
      rest.set(values, first * 4);
      const part = { from: s / SLICES, to: (s + 1) / SLICES, first, count: values.length / 4 };
      first += part.count;
      return part;
    });
    return { source, first: start, count: first - start, parts: parts.filter((part) => part.count > 0) };
  });
  return { rest, stands };
}
