import { toLinear } from '../colour/colour';

/** Luma of encoded values (BT.709): what a waveform monitor shows. In the unit of its arguments. */
export const luma = (r: number, g: number, b: number): number => 0.2126 * r + 0.7152 * g + 0.0722 * b;

/** Linear light of each of 256 code values. */
export const LINEAR: readonly number[] = Array.from({ length: 256 }, (_, code) => toLinear(code / 255));

/** Relative luminance of linear light with the primaries of BT.709 and sRGB. */
export const luminance = luma;

/**
 * CIE 1976 u′, v′ of linear light (sRGB primaries to XYZ by IEC 61966-2-1). A screen gives back a little of what lights the room, so
 * that black is as its white and what is nearly black has no colour of note.
 */
export function chromaticity(r: number, g: number, b: number): [u: number, v: number] {
  const room = 0.002;
  const [R, G, B] = [r + room, g + room, b + room];
  const x = 0.4124 * R + 0.3576 * G + 0.1805 * B;
  const y = 0.2126 * R + 0.7152 * G + 0.0722 * B;
  const z = 0.0193 * R + 0.1192 * G + 0.9505 * B;
  const sum = x + 15 * y + 3 * z;
  return [(4 * x) / sum, (9 * y) / sum];
}
