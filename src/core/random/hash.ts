import { RI } from '../kernel/scratch';
import { pcg4d } from './hash.gen';

/**
 * Four 32-bit hashes of four 32-bit integers (pcg4d, Jarzynski & Olano, JCGT 9(3), 2020); the same bits as on the GPU.
 * By our use: (element index, seed, channel, salt).
 */
export function hash4(a: number, b: number, c: number, d: number): [number, number, number, number] {
  pcg4d(a, b, c, d);
  return [RI[0] >>> 0, RI[1] >>> 0, RI[2] >>> 0, RI[3] >>> 0];
}

/** A number in [0, 1) with 24 bits from a 32-bit hash. */
export const unitFrom = (hash: number): number => (hash >>> 8) / 16777216;
