/** A fraction in [0,1) from 32 bits. */
const share = (bits: number): number => (bits >>> 0) / 2 ** 32;

/**
 * The direction numbers of a dimension of Sobol's sequence.
 * @param m the first of them, as many as its polynomial has degrees; @param a the polynomial's coefficients between first and last
 */
function directions(m: readonly number[], a: number): Uint32Array {
  const v = new Uint32Array(32);
  const s = m.length;
  for (let i = 0; i < 32; i++) {
    if (i < s) v[i] = m[i] << (31 - i);
    else {
      v[i] = v[i - s] ^ (v[i - s] >>> s);
      for (let k = 1; k < s; k++) if ((a >>> (s - 1 - k)) & 1) v[i] ^= v[i - k];
    }
  }
  return v;
}

/** Dimensions four, five and six (Joe & Kuo, SIAM J. Sci. Comput. 30, 2008, their table "new-joe-kuo-6", from memory): those before are the lens's. */
const WAYS: readonly Uint32Array[] = [directions([1, 3, 1], 1), directions([1, 1, 1], 2), directions([1, 1, 3, 3], 1)];

function sobol(way: number, index: number): number {
  let bits = 0;
  for (let k = 0, i = index; i > 0; i >>>= 1, k++) if (i & 1) bits ^= WAYS[way][k];
  return bits >>> 0;
}

/** A place in the unit cube: two numbers say which point of a surface, the third how far in. */
export type LightPoint = readonly [number, number, number];

/**
 * The point of a light that a pass owns: three more dimensions of the net of the lens and the shutter, so that which part of the lens
 * a pass has says nothing of which part of a light it has; shifted digit by digit for each light, the same over the lap.
 * @param total passes, a power of two: those of a frame are spread evenly over each dimension; one looks from the middle
 * @param shift 32 bits of the light's own
 */
export function lightPoint(index: number, total: number, shift: number): LightPoint {
  const cell = (way: number, by: number): number => (Math.floor(share(sobol(way, index) ^ by) * total) + 0.5) / total;
  return [cell(0, shift), cell(1, Math.imul(shift, 0x9e3779b1)), cell(2, Math.imul(shift, 0x85ebca6b))];
}
