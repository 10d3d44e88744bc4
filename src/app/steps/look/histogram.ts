/** What share of a picture is how bright. */
export interface Tones {
  /** share of the pixels in each of 64 steps of brightness, dark to bright */
  steps: number[];
  /** shares under 10 % and above 90 % luminance (of the encoded value) */
  dark: number;
  bright: number;
  /** average level, 0..1: what an LED wall's power follows */
  average: number;
}

export const TONE_STEPS = 64;

/** @param rgba encoded sRGB bytes */
export function tonesOf(rgba: Uint8Array): Tones {
  const steps = new Array<number>(TONE_STEPS).fill(0);
  const pixels = rgba.length / 4;
  let dark = 0;
  let bright = 0;
  let sum = 0;
  for (let i = 0; i < rgba.length; i += 4) {
    // luma of BT.709 on encoded values: what a waveform monitor shows
    const luma = (0.2126 * rgba[i] + 0.7152 * rgba[i + 1] + 0.0722 * rgba[i + 2]) / 255;
    steps[Math.min(TONE_STEPS - 1, Math.floor(luma * TONE_STEPS))]++;
    if (luma < 0.1) dark++;
    if (luma > 0.9) bright++;
    sum += luma;
  }
  return { steps: steps.map((n) => n / pixels), dark: dark / pixels, bright: bright / pixels, average: sum / pixels };
}
