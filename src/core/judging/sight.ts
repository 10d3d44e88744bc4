/**
 * How fine a contrast an eye tells: one over the least modulation that is seen of a pattern of stripes.
 * Barten, "Formula for the contrast sensitivity of the human eye", SPIE 5294 (2004), with the constants it gives.
 * @param luminance cd/m², above 0
 * @param frequency cycles a degree, above 0
 * @param field side of what is seen, degrees
 */
export function contrastSensitivity(luminance: number, frequency: number, field = 40): number {
  const u2 = frequency ** 2;
  const pupil = 5 - 3 * Math.tanh(0.4 * Math.log10((luminance * field ** 2) / 40 ** 2));
  // blur of the eye's optics, which grows with its pupil: arc minutes to degrees
  const blur = Math.hypot(0.5, 0.08 * pupil) / 60;
  const optics = Math.exp(-2 * Math.PI ** 2 * blur ** 2 * u2);
  const spread = 1 / field ** 2 + 1 / MOST_FIELD ** 2 + u2 / MOST_CYCLES ** 2;
  // light on the retina, with the Stiles–Crawford effect, in trolands
  const trolands = ((Math.PI * pupil ** 2) / 4) * luminance * (1 - (pupil / 9.7) ** 2 + (pupil / 12.4) ** 4);
  const photons = 1 / (0.03 * 1.2e6 * trolands);
  const neural = 3e-8 / (1 - Math.exp(-u2 / 7 ** 2));
  return optics / 3 / Math.sqrt((2 / 0.1) * spread * (photons + neural));
}
/** Degrees over which, and cycles of which, the eye adds up. */
const MOST_FIELD = 12;
const MOST_CYCLES = 15;
