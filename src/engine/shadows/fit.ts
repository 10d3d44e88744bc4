import type { Box } from '../../core/space/box';
import type { Vec3 } from '../../core/space/vector';

/** The smallest box around some points, as they are in axes of its own. */
export function boxOf(points: readonly Vec3[], axes: readonly [Vec3, Vec3, Vec3]): Box {
  const low: Vec3 = [Infinity, Infinity, Infinity];
  const high: Vec3 = [-Infinity, -Infinity, -Infinity];
  for (const p of points)
    axes.forEach((axis, k) => {
      const at = axis[0] * p[0] + axis[1] * p[1] + axis[2] * p[2];
      low[k] = Math.min(low[k], at);
      high[k] = Math.max(high[k], at);
    });
  return { low, high };
}

/** What is in both of two boxes; null where nothing is. */
export function common(a: Box, b: Box): Box | null {
  const low = a.low.map((v, k) => Math.max(v, b.low[k])) as Vec3;
  const high = a.high.map((v, k) => Math.min(v, b.high[k])) as Vec3;
  return low.every((v, k) => v <= high[k]) ? { low, high } : null;
}

/**
 * The narrowest cone from a place that surely holds a box: the way to its middle, not of length 1, and the angle in radians from its
 * middle to its edge; null where the place is too near for that.
 */
export function coneAround({ low, high }: Box, from: Vec3): { way: Vec3; half: number } | null {
  const way = low.map((v, k) => (v + high[k]) / 2 - from[k]) as Vec3;
  const radius = Math.hypot(...low.map((v, k) => (high[k] - v) / 2));
  const away = Math.hypot(...way);
  return away > radius * 1.02 ? { way, half: Math.asin(radius / away) } : null;
}

/** What a light that comes along one way looks at: the middle of its square in its own axes, half its side, and how deep it looks. */
export interface Fitted {
  middle: Vec3;
  half: number;
  /** metres before and behind the middle */
  before: number;
  behind: number;
}

/**
 * The square that holds what is seen and takes shadows, with all before it that may cast one.
 * @param seen corners of what the lens sees, metres, and `things` of all that there is, both in the world
 * @param axes right, up and back of the light, of length 1
 * @param side pixels of the square: it moves by whole ones and grows in steps, so that shadows do not crawl
 */
export function fitted(
  seen: readonly Vec3[],
  things: readonly Vec3[],
  axes: readonly [Vec3, Vec3, Vec3],
  side: number,
): Fitted {
  const lens = boxOf(seen, axes);
  const all = boxOf(things, axes);
  const both = (k: number): [number, number] => {
    const [low, high] = [Math.max(lens.low[k], all.low[k]), Math.min(lens.high[k], all.high[k])];
    // what there is may be out of sight
    return low <= high ? [low, high] : [lens.low[k], lens.low[k] + 1e-3];
  };
  const [x, y, z] = [both(0), both(1), both(2)];
  const wide = Math.max(x[1] - x[0], y[1] - y[0], 0.05);
  const half = 2 ** (Math.ceil(Math.log2(wide) * 4) / 4) / 2 / (1 - 4 / side);
  const px = (2 * half) / side;
  const middle = (of: [number, number]): number => Math.round((of[0] + of[1]) / 2 / px) * px;
  const [depthLow, depthHigh] = [z[0], Math.max(all.high[2], z[1])];
  const centre = (depthLow + depthHigh) / 2;
  const deep = (depthHigh - depthLow) / 2 + 0.5;
  return { middle: [middle(x), middle(y), centre], half, before: deep, behind: deep };
}
