import { dot, scale, subtract, type Vec3 } from '../../../space/vector';

/** Where a place is seen from `reads`: what is left of it without its depth. */
export const flattened = (place: Vec3, reads: Vec3): Vec3 =>
  subtract(place, scale(reads, dot(place, reads) / dot(reads, reads)));

/** Pairs of places, one of each list, that are seen in one place from `reads`. */
export function meeting(these: readonly Vec3[], those: readonly Vec3[], reads: Vec3): [Vec3, Vec3][] {
  const pairs: [Vec3, Vec3][] = [];
  for (const a of these)
    for (const b of those) {
      const apart = subtract(flattened(a, reads), flattened(b, reads));
      const deep = subtract(a, b);
      if (Math.hypot(...apart) < 1e-6 && Math.hypot(...deep) > 1e-6) pairs.push([a, b]);
    }
  return pairs;
}
