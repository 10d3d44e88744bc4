import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { RF } from '../kernel/scratch';
import { tinted } from './tint.gen';

type Rgb = [number, number, number];
const share = fc.double({ min: 0.01, max: 1, noNaN: true });
const colour: fc.Arbitrary<Rgb> = fc.tuple(share, share, share);
const luma = ([r, g, b]: Rgb): number => 0.2126 * r + 0.7152 * g + 0.0722 * b;
const of = (
  c: Rgb,
  by: [number, number],
  middle = 0.5,
  dark: Rgb = [0.1, 0.3, 0.8],
  bright: Rgb = [1, 0.6, 0.2],
): Rgb => {
  tinted(...c, ...dark, ...bright, ...by, middle);
  return [RF[0], RF[1], RF[2]];
};

describe('a tint', () => {
  it('leaves brightness, and by nothing every colour', () =>
    fc.assert(
      fc.property(colour, colour, colour, share, (c, dark, bright, by) => {
        expect(luma(of(c, [by, 1 - by], 0.4, dark, bright))).toBeCloseTo(luma(c), 9);
        of(c, [0, 0]).forEach((v, k) => expect(v).toBeCloseTo(c[k], 12));
      }),
    ));

  it('turns dark parts to one colour and bright ones to the other, both by half at the middle', () => {
    const hue = ([r, , b]: Rgb): number => b - r;
    expect(hue(of([0.05, 0.05, 0.05], [1, 1]))).toBeGreaterThan(0.05);
    expect(hue(of([0.95, 0.95, 0.95], [1, 1]))).toBeLessThan(-0.3);
    const [one, other] = [of([0.3, 0.3, 0.3], [1, 0], 0.3), of([0.3, 0.3, 0.3], [0, 1], 0.3)];
    const whole: Rgb = [0.1, 0.3, 0.8].map((v) => (v * 0.3) / luma([0.1, 0.3, 0.8])) as Rgb;
    one.forEach((v, k) => expect(v).toBeCloseTo(0.3 + (whole[k] - 0.3) / 2, 9));
    expect(other[0]).toBeGreaterThan(0.3);
  });
});
