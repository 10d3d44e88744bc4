import type { Vec3 } from './vector';

/** A box between two corners. */
export interface Box {
  low: Vec3;
  high: Vec3;
}

/** The corners of a box. */
export const cornersOf = ({ low, high }: Box): Vec3[] =>
  Array.from({ length: 8 }, (_, i): Vec3 => [
    i & 1 ? high[0] : low[0],
    i & 2 ? high[1] : low[1],
    i & 4 ? high[2] : low[2],
  ]);
