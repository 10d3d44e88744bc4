// IEEE 754-2008 binary16.
const FLOAT = new Float32Array(1);
const BITS = new Uint32Array(FLOAT.buffer);

/** The half-precision number nearest to a number, as its 16 bits; ties go to the even one, what is too great to infinity. */
export function toHalf(value: number): number {
  FLOAT[0] = value;
  const bits = BITS[0];
  const sign = (bits >>> 16) & 0x8000;
  const size = bits & 0x7fffffff;
  if (size > 0x7f800000) return sign | 0x7e00;
  // from halfway between the greatest half and the power above it
  if (size >= 0x477ff000) return sign | 0x7c00;
  if (size >= 0x38800000) {
    const rest = size - 0x38000000;
    return sign | ((rest + 0xfff + ((rest >>> 13) & 1)) >>> 13);
  }
  // steps of 2⁻²⁴: adding and taking away rounds to them
  if (size < 0x33000000) return sign;
  const exponent = size >>> 23;
  const mantissa = (size & 0x7fffff) | 0x800000;
  const shift = 126 - exponent;
  const half = mantissa >>> shift;
  const left = mantissa & ((1 << shift) - 1);
  const tie = 1 << (shift - 1);
  return sign | (half + (left > tie || (left === tie && (half & 1) === 1) ? 1 : 0));
}

/** The number of 16 bits. */
export function fromHalf(half: number): number {
  const sign = half & 0x8000 ? -1 : 1;
  const exponent = (half >> 10) & 31;
  const mantissa = half & 1023;
  if (exponent === 0) return sign * mantissa * 2 ** -24;
  if (exponent === 31) return mantissa ? NaN : sign * Infinity;
  return sign * (1 + mantissa / 1024) * 2 ** (exponent - 15);
}
