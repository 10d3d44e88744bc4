import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { add, dot, normalize, type Vec3 } from '../space/vector';
import { evenAt, evenOf } from './even';
import { directionAt, halved, lightAt, panoramaOf, placeOf, shareOfRow } from './panorama';
import { ROUGH_LEVELS, roughLevels } from './rough';
import { STOCK_PANORAMAS } from './stock';

const unit = fc
  .tuple(fc.double({ min: -1, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }))
  .map(([y, around]): Vec3 => {
    const level = Math.sqrt(1 - y * y);
    return [level * Math.sin(2 * Math.PI * around), y, -level * Math.cos(2 * Math.PI * around)];
  });

/** The mean of a law over the lobe of a normal, by adding up the whole ball of directions. */
function summed(law: (d: Vec3) => number, n: Vec3, weightOf: (d: Vec3) => number): number {
  let [sum, weights] = [0, 0];
  const rows = 300;
  for (let y = 0; y < rows; y++)
    for (let x = 0; x < 2 * rows; x++) {
      const d = directionAt((x + 0.5) / (2 * rows), (y + 0.5) / rows);
      const w = dot(d, n) > 0 ? weightOf(d) * Math.sin((Math.PI * (y + 0.5)) / rows) : 0;
      sum += w * law(d);
      weights += w;
    }
  return sum / weights;
}

describe('a panorama', () => {
  it('sees every direction at one place, ahead in its middle and the right in its right half', () => {
    expect(placeOf([0, 0, -1])).toEqual([0.5, 0.5]);
    expect(placeOf([1, 0, 0])[0]).toBeCloseTo(0.75, 12);
    expect(placeOf([0, 1, 0])[1]).toBe(0);
    fc.assert(
      fc.property(unit, (d) => {
        const back = directionAt(...placeOf(d));
        for (let k = 0; k < 3; k++) expect(back[k]).toBeCloseTo(d[k], 6);
      }),
    );
  });

  it('covers the ball once, at every size, with as much light', () => {
    const whole = panoramaOf(STOCK_PANORAMAS.dusk.law, 64);
    const lightOf = (of: typeof whole): number => {
      let sum = 0;
      for (let y = 0; y < of.height; y++)
        for (let x = 0; x < of.width; x++) sum += shareOfRow(of, y) * of.rgb[(y * of.width + x) * 3];
      return sum;
    };
    const even = panoramaOf(() => [1, 1, 1], 64);
    expect(lightOf(even)).toBeCloseTo(1, 6);
    for (const less of halved(whole, 8)) expect(lightOf(less) / lightOf(whole)).toBeCloseTo(1, 5);
    expect(halved(whole, 8).map(({ width }) => width)).toEqual([64, 32, 16, 8]);
  });

  it('goes on around: what is seen left of its left edge is its right edge', () => {
    const law = (d: Vec3): [number, number, number] => [2 + d[0], 2 + d[2], 2 + d[1]];
    const shown = panoramaOf(law, 128);
    for (const u of [-0.01, 0, 0.003, 0.999, 1.2]) {
      const expected = law(directionAt(u, 0.4));
      lightAt(shown, u, 0.4).forEach((v, k) => expect(Math.abs(v - expected[k])).toBeLessThan(2e-3));
    }
  });
});

describe('what matt white gives back of it', () => {
  it('is 1 of light that is 1 everywhere, and of light from above what a tilted plane sees of it', () => {
    const even = evenOf(panoramaOf(() => [1, 1, 1], 64));
    for (const n of [directionAt(0.1, 0.2), directionAt(0.7, 0.9)]) expect(evenAt(even, n)[1]).toBeCloseTo(1, 3);
    // a sky that is 1 above the horizon: a plane sees (1 + cos tilt) / 2 of it (Liu and Jordan, 1960), here to the second order
    const above = evenOf(panoramaOf(([, y]) => [y > 0 ? 1 : 0, 0, 0], 128));
    for (const tilt of [0, 60, 90, 130, 180]) {
      const a = (tilt * Math.PI) / 180;
      expect(Math.abs(evenAt(above, [Math.sin(a), Math.cos(a), 0])[0] - (1 + Math.cos(a)) / 2)).toBeLessThan(0.04);
    }
  });

  // adds up all directions, anew for each
  it('is within a tenth of the cosine’s own sum for every panorama that ships', () => {
    for (const [name, { law }] of Object.entries(STOCK_PANORAMAS)) {
      const even = evenOf(panoramaOf(law, 128));
      const most = Math.max(...[0.1, 0.5, 0.9].map((v) => evenAt(even, directionAt(0.3, v))[1]));
      for (const n of [directionAt(0.5, 0.4), directionAt(0.2, 0.7), directionAt(0.8, 0.1)]) {
        const true_ = summed(
          (d) => law(d)[1],
          n,
          (d) => dot(d, n),
        );
        expect([name, Math.abs(evenAt(even, n)[1] - true_) < 0.1 * Math.max(true_, most)]).toEqual([name, true]);
      }
    }
  });
});

describe('what rough surfaces mirror of it', () => {
  it('is 1 of light that is 1 everywhere, at every roughness', () => {
    const levels = roughLevels(panoramaOf(() => [1, 1, 1], 64));
    expect(levels).toHaveLength(ROUGH_LEVELS);
    for (const { rgb } of levels) for (const v of rgb) expect(Math.abs(v - 1)).toBeLessThan(1e-5);
  });

  it('is the mean over the lobe of GGX, by adding up all directions', () => {
    const law = (d: Vec3): number => 0.2 + Math.max(0, dot(d, normalize([0.5, 0.6, -0.6]))) ** 8 * 3;
    const levels = roughLevels(panoramaOf((d) => [law(d), 0, 0], 128));
    for (const level of [1, 2, 3, 5]) {
      const alpha = (level / (ROUGH_LEVELS - 1)) ** 2;
      for (const [u, v] of [
        [0.6, 0.3],
        [0.75, 0.45],
        [0.3, 0.5],
      ]) {
        const n = directionAt(u, v);
        const expected = summed(law, n, (l) => {
          const h = normalize(add(l, n));
          const k = dot(h, n) ** 2 * (alpha * alpha - 1) + 1;
          // the density of l for a half-way vector of GGX is D/4 where it is looked at along the normal; each counts by its cosine
          return ((alpha * alpha) / (Math.PI * k * k) / 4) * dot(l, n);
        });
        expect([level, u, Math.abs(lightAt(levels[level], u, v)[0] / expected - 1) < 0.04]).toEqual([level, u, true]);
      }
    }
  });

  it('of what ships is nowhere without number, and brighter than nothing', () => {
    for (const { law } of Object.values(STOCK_PANORAMAS))
      for (const { rgb } of roughLevels(panoramaOf(law, 64)))
        expect(rgb.every((v) => Number.isFinite(v) && v >= 0) && rgb.some((v) => v > 0.01)).toBe(true);
  });
});
