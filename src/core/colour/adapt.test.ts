import { describe, expect, it } from 'vitest';
import { adaptation, applied, NEUTRAL_KELVIN, whiteAt } from './adapt';

describe('white balance', () => {
  it.each([
    // CIE 15:2004, illuminant A, and black bodies of Wyszecki and Stiles, "Color Science", 1982; from memory
    [2856, 0.4476, 0.4074],
    [5000, 0.3451, 0.3516],
    [6500, 0.3135, 0.3237],
    [10_000, 0.2807, 0.2884],
  ])('a black body of %i K has its chromaticity', (kelvin, x, y) => {
    const [a, b] = whiteAt(kelvin);
    expect(Math.hypot(a - x, b - y)).toBeLessThan(0.0015);
  });

  it('leaves what is neutral, to the last digit, and its matrices undo one another', () => {
    expect(adaptation(NEUTRAL_KELVIN)).toEqual([1, 0, 0, 0, 1, 0, 0, 0, 1]);
    // just beside neutral all of them are multiplied
    adaptation(NEUTRAL_KELVIN + 1e-6).forEach((v, i) => expect(v).toBeCloseTo(i % 4 === 0 ? 1 : 0, 5));
  });

  it('shows light of a white as the neutral one', () => {
    const neutral = whiteAt(NEUTRAL_KELVIN);
    for (const [kelvin, greener] of [
      [3200, 0],
      [9000, 0.01],
      [5200, -0.015],
    ] as const) {
      // linear sRGB of that white, by the inverse of the standard's own matrix
      const [x, y] = whiteAt(kelvin, greener);
      const xyz = [x / y, 1, (1 - x - y) / y] as const;
      const rgb = applied(
        [3.2404542, -1.5371385, -0.4985314, -0.969266, 1.8760108, 0.041556, 0.0556434, -0.2040259, 1.0572252],
        xyz,
      );
      const shown = applied(adaptation(kelvin, greener), rgb);
      const back = applied(
        [0.4124564, 0.3575761, 0.1804375, 0.2126729, 0.7151522, 0.072175, 0.0193339, 0.119192, 0.9503041],
        shown,
      );
      const sum = back[0] + back[1] + back[2];
      expect(back[0] / sum).toBeCloseTo(neutral[0], 4);
      expect(back[1] / sum).toBeCloseTo(neutral[1], 4);
      // and as bright
      expect(back[1]).toBeCloseTo(1, 4);
    }
  });

  it('higher is warmer, greener is greener', () => {
    const grey = [0.5, 0.5, 0.5] as const;
    const warm = applied(adaptation(9000), grey);
    expect(warm[0]).toBeGreaterThan(warm[2] + 0.1);
    const green = applied(adaptation(NEUTRAL_KELVIN, -0.01), grey);
    expect(green[1]).toBeGreaterThan(green[0] + 0.01);
  });
});
