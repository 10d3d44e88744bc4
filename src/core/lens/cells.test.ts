import { describe, expect, it } from 'vitest';
import { hash4, unitFrom } from '../random/hash';
import { RF } from '../kernel/scratch';
import { apertureGauge, apertureSquare, lensPoint } from './aperture.gen';
import { apertureCells } from './cells';

describe('aperture cells', () => {
  // a (0, m, 3)-net in base 2: Niederreiter, Random Number Generation and Quasi-Monte Carlo Methods, 1992, ch. 4
  it.each([2, 4, 8, 16, 32, 64, 128, 256])(
    '%d passes: every elementary box of lens and shutter holds exactly one',
    (n) => {
      const m = Math.log2(n);
      const passes = apertureCells(n, 0, 0, 1);
      for (let a = 0; a <= m; a++)
        for (let b = 0; a + b <= m; b++) {
          const c = m - a - b;
          const boxes = new Set(
            passes.map((p) => [Math.floor(p.a * 2 ** a), Math.floor(p.b * 2 ** b), Math.floor(p.t * 2 ** c)].join()),
          );
          expect(boxes.size).toBe(n);
        }
    },
  );

  it('a single pass looks through the centre at the middle of the shutter', () => {
    expect(apertureCells(1, 7, 0.1, 1)).toEqual([{ a: 0.5, b: 0.5, t: 0.5, x: 0, y: 0 }]);
  });

  it.each([0, 3, 300])('refuses %d passes in words', (n) => {
    expect(() => apertureCells(n, 0, 0, 1)).toThrow(/power of two from 1 to 256/);
  });

  it.each([
    [0, 0, 1],
    [5, 0.07, 1],
    [8, 0.1, 2],
    [3, 0.3, 0.7],
  ])('the map of %d blades, turn %d, squeeze %d has area π and inverts', (blades, turn, squeeze) => {
    let inside = 0;
    const n = 20_000;
    for (let i = 0; i < n; i++) {
      const [x, y] = hash4(i, 1, 5, blades).map((h) => unitFrom(h) * 5 - 2.5);
      if (apertureGauge(x, y, blades, turn, squeeze) <= 1) inside++;
    }
    expect((inside / n) * 25).toBeCloseTo(Math.PI, 0);
    for (let i = 0; i < 500; i++) {
      const [a, b] = hash4(i, 2, 5, blades).map(unitFrom);
      lensPoint(a, b, blades, turn, squeeze);
      const [x, y] = [RF[0], RF[1]];
      expect(apertureGauge(x, y, blades, turn, squeeze)).toBeLessThanOrEqual(1 + 1e-4);
      apertureSquare(x, y, blades, turn, squeeze);
      expect(RF[0]).toBeCloseTo(a, 3);
      expect(RF[1]).toBeCloseTo(b, 3);
    }
  });

  it('is area-preserving: equal squares are equal shares of the aperture', () => {
    const counts = new Float64Array(16);
    let hits = 0;
    for (let i = 0; i < 60_000; i++) {
      const [x, y] = hash4(i, 4, 5, 6).map((h) => unitFrom(h) * 2.6 - 1.3);
      if (apertureGauge(x, y, 6, 0.03, 1) > 1) continue;
      apertureSquare(x, y, 6, 0.03, 1);
      counts[Math.min(3, Math.floor(RF[0] * 4)) * 4 + Math.min(3, Math.floor(RF[1] * 4))]++;
      hits++;
    }
    for (const count of counts) expect(count / hits).toBeCloseTo(1 / 16, 2);
  });
});
