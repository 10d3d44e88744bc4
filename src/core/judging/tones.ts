import { luma } from './light';

/** Steps that a code value is told apart in. */
export const TONE_STEPS = 64;
/** Red, green, blue, and the brightness of the three. */
export const TONE_CHANNELS = ['red', 'green', 'blue', 'luma'] as const;
export type ToneChannel = (typeof TONE_CHANNELS)[number];

/** What share of a picture is how bright. */
export interface Tones {
  /** of each channel the share of the pixels in each of 64 steps, dark to bright */
  steps: Record<ToneChannel, Float64Array>;
  /** shares under 10 % and above 90 % luma */
  dark: number;
  bright: number;
  /** average luma, 0..1 */
  average: number;
  /** shares in which at least one channel is at its greatest code value, or all three are at their least */
  over: number;
  under: number;
}

/** @param rgba encoded bytes */
export function tonesOf(rgba: Uint8Array): Tones {
  const empty = (): Float64Array => new Float64Array(TONE_STEPS);
  const steps: Tones['steps'] = { red: empty(), green: empty(), blue: empty(), luma: empty() };
  const pixels = rgba.length / 4;
  const tones: Tones = { steps, dark: 0, bright: 0, average: 0, over: 0, under: 0 };
  const share = 1 / pixels;
  for (let i = 0; i < rgba.length; i += 4) {
    const [r, g, b] = [rgba[i], rgba[i + 1], rgba[i + 2]];
    const v = luma(r, g, b) / 255;
    steps.red[r >> 2] += share;
    steps.green[g >> 2] += share;
    steps.blue[b >> 2] += share;
    steps.luma[Math.min(TONE_STEPS - 1, Math.floor(v * TONE_STEPS))] += share;
    if (v < 0.1) tones.dark += share;
    if (v > 0.9) tones.bright += share;
    if (Math.max(r, g, b) === 255) tones.over += share;
    if (Math.max(r, g, b) === 0) tones.under += share;
    tones.average += v * share;
  }
  return tones;
}

/** How the code values of each column of a picture are spread: a waveform. */
export interface Waveform {
  columns: number;
  /** rows of code values, 0 to 1 from the first to the last */
  rows: number;
  /** shares of a column, red, green and blue of each row after one another; column by column */
  shares: Float32Array;
}

/**
 * @param rgba encoded bytes, `width` pixels a row
 * @param rows that 256 code values are told apart in
 */
export function waveformOf(rgba: Uint8Array, width: number, rows = 64): Waveform {
  const shares = new Float32Array(width * rows * 3);
  const height = rgba.length / 4 / width;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      for (let k = 0; k < 3; k++) {
        const row = (rgba[(y * width + x) * 4 + k] * rows) >> 8;
        shares[(x * rows + row) * 3 + k] += 1 / height;
      }
  return { columns: width, rows, shares };
}
