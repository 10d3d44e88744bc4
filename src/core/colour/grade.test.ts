import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { RF } from '../kernel/scratch';
import { graded } from './grade.gen';

type Rgb = [number, number, number];
interface Set {
  lift?: number;
  gamma?: number;
  gain?: number;
  contrast?: number;
  pivot?: number;
  saturation?: number;
  dull?: number;
}
function of(c: Rgb, { lift = 0, gamma = 1, gain = 1, contrast = 1, pivot = 0.46, saturation = 1, dull = 0 }: Set): Rgb {
  graded(...c, lift, lift, lift, gamma, gamma, gamma, gain, gain, gain, contrast, pivot, saturation, dull);
  return [RF[0], RF[1], RF[2]];
}
const colour = fc.tuple(
  ...([0, 1, 2] as const).map(() => fc.double({ min: 0, max: 1, noNaN: true })),
) as fc.Arbitrary<Rgb>;

describe('grading', () => {
  it('leaves every colour as it is where nothing is set', () =>
    fc.assert(
      fc.property(colour, (c) => {
        of(c, {}).forEach((v, k) => expect(v).toBeCloseTo(c[k], 12));
      }),
    ));

  it('lift leaves white, gain and gamma leave black, contrast leaves black, pivot and white', () => {
    expect(of([1, 1, 1], { lift: 0.2 })[0]).toBeCloseTo(1, 12);
    expect(of([0, 0, 0], { lift: 0.2 })[0]).toBeCloseTo(0.2, 12);
    expect(of([0, 0, 0], { gain: 3, gamma: 2 })).toEqual([0, 0, 0]);
    expect(of([0.25, 0.25, 0.25], { gamma: 2 })[0]).toBeCloseTo(0.5, 12);
    for (const v of [0, 0.3, 1]) expect(of([v, v, v], { contrast: 2.2, pivot: 0.3 })[0]).toBeCloseTo(v, 12);
  });

  it('contrast is as steep as it says at the pivot, on both sides', () => {
    const e = 1e-5;
    const at = (v: number): number => of([v, v, v], { contrast: 1.7, pivot: 0.4 })[0];
    expect((at(0.4 + e) - at(0.4)) / e).toBeCloseTo(1.7, 3);
    expect((at(0.4) - at(0.4 - e)) / e).toBeCloseTo(1.7, 3);
  });

  it('no saturation leaves luminance alone; dull colours gain more than pure ones', () => {
    const [r, g, b] = of([0.8, 0.3, 0.1], { saturation: 0 });
    const y = 0.2126 * 0.8 + 0.7152 * 0.3 + 0.0722 * 0.1;
    for (const v of [r, g, b]) expect(v).toBeCloseTo(y, 12);
    const apart = ([x, , z]: Rgb): number => x - z;
    const dull: Rgb = [0.52, 0.5, 0.48];
    const pure: Rgb = [0.5, 0.2, 0];
    expect(apart(of(dull, { dull: 1 })) / apart(dull)).toBeGreaterThan(1.8);
    expect(apart(of(pure, { dull: 1 })) / apart(pure)).toBeCloseTo(1, 6);
  });

  it('rises with what comes in, and is never less than nothing', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.99, noNaN: true }),
        fc.double({ min: -0.5, max: 0.5, noNaN: true }),
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        fc.double({ min: 0.2, max: 4, noNaN: true }),
        (v, lift, gamma, contrast) => {
          const [low] = of([v, v, v], { lift, gamma, contrast });
          const [high] = of([v + 0.01, v + 0.01, v + 0.01], { lift, gamma, contrast });
          expect(low).toBeGreaterThanOrEqual(0);
          expect(high).toBeGreaterThanOrEqual(low - 1e-9);
        },
      ),
    ));
});
