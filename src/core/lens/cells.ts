import { RF } from '../kernel/scratch';
import { lensPoint } from './aperture.gen';

/** One pass of a frame: the box of the (lens × lens × shutter) net it owns, and the lens point in its middle. */
export interface LensPass {
  /** place in the unit square of the aperture, each in (0,1) */
  a: number;
  b: number;
  /** place in the shutter's open time, in (0,1) */
  t: number;
  /** the lens point for these, in units of the aperture's radius */
  x: number;
  y: number;
}

/** i's low 32 bits reversed: van der Corput, base 2. */
function reverseBits(i: number): number {
  let r = 0;
  for (let bit = 0; bit < 32; bit++) r = (r << 1) | ((i >>> bit) & 1);
  return r >>> 0;
}

/** Second Sobol' dimension as a 32-bit fraction (Kollig & Keller, 2002). */
function sobol2(index: number): number {
  let r = 0;
  for (let v = 0x80000000, i = index; i; i >>>= 1, v = (v ^ (v >>> 1)) >>> 0) if (i & 1) r = (r ^ v) >>> 0;
  return r;
}

interface Shift {
  a: number;
  b: number;
}

/** Digital shifts (XOR keeps a net a net) drawn from a small generator; the best of them is kept for good. */
function* shifts(count: number): Generator<Shift> {
  let state = 0x9e3779b9;
  const next = (): number => {
    state = Math.imul(state ^ (state >>> 15), 0x2c1b3c6d) >>> 0;
    state = (state + 0x6d2b79f5) >>> 0;
    return (state ^ (state >>> 13)) >>> 0;
  };
  for (let i = 0; i < count; i++) yield i === 0 ? { a: 0, b: 0 } : { a: next(), b: next() };
}

const square = (n: number, shift: Shift): { a: number; b: number }[] => {
  const bits = Math.log2(n);
  // shift only the bits that number the cells: every box still holds exactly one pass
  const cell = (value: number, by: number): number => {
    const top = bits === 0 ? 0 : (value ^ by) >>> (32 - bits);
    return (top + 0.5) / n;
  };
  return Array.from({ length: n }, (_, i) => ({ a: cell(reverseBits(i), shift.a), b: cell(sobol2(i), shift.b) }));
};

const memo = new Map<number, { a: number; b: number }[]>();

/** The net of n passes whose closest two lens points within any quarter of the shutter are farthest apart. */
function bestSquare(n: number): { a: number; b: number }[] {
  const known = memo.get(n);
  if (known) return known;
  let best = square(n, { a: 0, b: 0 });
  let bestGap = -1;
  for (const shift of shifts(n > 64 ? 8 : 48)) {
    const candidate = square(n, shift);
    const points = candidate.map(({ a, b }) => {
      lensPoint(a, b, 0, 0, 1);
      return [RF[0], RF[1]];
    });
    let gap = Infinity;
    for (let i = 0; i < n; i++)
      for (let j = 0; j < i; j++)
        gap = Math.min(gap, (points[i][0] - points[j][0]) ** 2 + (points[i][1] - points[j][1]) ** 2);
    if (gap > bestGap) {
      bestGap = gap;
      best = candidate;
    }
  }
  memo.set(n, best);
  return best;
}

/**
 * The passes of a frame of n = 2^m samples. Pass i owns box i of a (0, m, 3)-net in base 2: every box of
 * 2^A × 2^B lens cells × 2^C shutter slices with A + B + C = m holds exactly one pass. The pattern is the same for every
 * frame, so it neither flickers nor breaks the seam.
 * @param n a power of two from 1 to 256
 * @param blades 0 for a disc, else 3 or more
 * @param rotation in turns
 * @param squeeze 2 makes the aperture twice as tall as wide
 * @throws RangeError when n is not such a power of two
 */
export function apertureCells(n: number, blades: number, rotation: number, squeeze: number): LensPass[] {
  if (!Number.isInteger(Math.log2(n)) || n > 256)
    throw new RangeError(`passes must be a power of two from 1 to 256, not ${n}`);
  return bestSquare(n).map(({ a, b }, i) => {
    // a single pass looks through the lens centre
    if (n === 1) return { a: 0.5, b: 0.5, t: 0.5, x: 0, y: 0 };
    lensPoint(a, b, blades, rotation, squeeze);
    return { a, b, t: (i + 0.5) / n, x: RF[0], y: RF[1] };
  });
}
