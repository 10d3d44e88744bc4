import { describe, expect, it } from 'vitest';
import { hermite, periodicSlopes } from './spline';

/** Value of the periodic spline through points at a phase. */
function splineAt(at: number[], value: number[], phase: number): number {
  const slopes = periodicSlopes(at, value);
  const n = at.length;
  let i = n - 1;
  at.forEach((a, k) => a <= phase && (i = k));
  if (phase < at[0]) i = n - 1;
  const width = (((at[(i + 1) % n] - at[i]) % 1) + 1) % 1 || 1;
  const t = ((((phase - at[i]) % 1) + 1) % 1) / width;
  return hermite(t, width, value[i], slopes[i], value[(i + 1) % n], slopes[(i + 1) % n]);
}

describe('periodic spline', () => {
  // a cubic spline through samples of a smooth periodic function is off by O(h⁴) (de Boor, A Practical Guide to Splines)
  it('follows a sine with fourth order', () => {
    const error = (n: number): number => {
      const at = Array.from({ length: n }, (_, i) => i / n);
      const value = at.map((a) => Math.sin(2 * Math.PI * a));
      let worst = 0;
      for (let i = 0; i < 997; i++)
        worst = Math.max(worst, Math.abs(splineAt(at, value, i / 997) - Math.sin((2 * Math.PI * i) / 997)));
      return worst;
    };
    expect(error(16)).toBeLessThan(2e-4);
    expect(error(8) / error(16)).toBeGreaterThan(12);
  });

  it('slopes solve the continuity equations of the second derivative, uneven gaps included', () => {
    const at = [0.03, 0.2, 0.25, 0.6, 0.9];
    const value = [1, -2, 3, 0.5, 0];
    const m = periodicSlopes(at, value);
    const n = at.length;
    for (let i = 0; i < n; i++) {
      const before = (i + n - 1) % n;
      const after = (i + 1) % n;
      const h0 = (at[i] - at[before] + 1) % 1;
      const h1 = (at[after] - at[i] + 1) % 1;
      const left = (2 * m[before] + 4 * m[i]) / h0 - (6 * (value[i] - value[before])) / h0 ** 2;
      const right = (-4 * m[i] - 2 * m[after]) / h1 + (6 * (value[after] - value[i])) / h1 ** 2;
      expect(left).toBeCloseTo(right, 8);
    }
  });

  it('two points make a wave, one point stands still', () => {
    expect(periodicSlopes([0.2], [4])).toEqual([0]);
    const value = [0, 1];
    expect(splineAt([0, 0.5], value, 0.25)).toBeCloseTo(0.5, 9);
    expect(splineAt([0, 0.5], value, 0.75)).toBeCloseTo(0.5, 9);
  });
});
