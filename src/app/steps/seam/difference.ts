/**
 * What two pictures differ by, blown up: grey is none, brighter more and darker less than the first, in each colour.
 * @param one, other RGBA bytes of the same size
 * @param times what differences are multiplied by
 */
export function differenceOf(one: Uint8Array, other: Uint8Array, times: number): Uint8ClampedArray<ArrayBuffer> {
  const out = new Uint8ClampedArray(one.length);
  for (let i = 0; i < one.length; i += 4) {
    for (let k = 0; k < 3; k++) out[i + k] = 128 + (other[i + k] - one[i + k]) * times;
    out[i + 3] = 255;
  }
  return out;
}

/** Two pictures over one another, each at half its strength. */
export function overlayOf(one: Uint8Array, other: Uint8Array): Uint8ClampedArray<ArrayBuffer> {
  const out = new Uint8ClampedArray(one.length);
  for (let i = 0; i < one.length; i++) out[i] = (one[i] + other[i]) / 2;
  return out;
}

/** The most that two pictures differ by in any colour, in code values. */
export function mostApart(one: Uint8Array, other: Uint8Array): number {
  let most = 0;
  for (let i = 0; i < one.length; i++) if (i % 4 !== 3) most = Math.max(most, Math.abs(one[i] - other[i]));
  return most;
}
