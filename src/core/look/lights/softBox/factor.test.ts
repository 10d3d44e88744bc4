import { describe, expect, it } from 'vitest';
import { facingFactor } from './factor';

/** The share of the light leaving a patch evenly that meets a rectangle before its middle, summed over small parts of it. */
function summed(wide: number, high: number, away: number): number {
  const n = 400;
  let sum = 0;
  for (let i = 0; i < n; i++)
    for (let j = 0; j < n; j++) {
      const [x, y] = [((i + 0.5) / n - 0.5) * wide, ((j + 0.5) / n - 0.5) * high];
      const r2 = x * x + y * y + away * away;
      sum += (away / r2) ** 2 / Math.PI;
    }
  return (sum * wide * high) / (n * n);
}

describe('the configuration factor of a parallel rectangle', () => {
  it.each([
    [1, 1, 1],
    [0.2, 3, 0.7],
    [4, 2, 0.3],
    [0.05, 0.05, 2],
  ])('%f × %f at %f is what its parts add up to', (wide, high, away) => {
    expect(facingFactor(wide, high, away)).toBeCloseTo(summed(wide, high, away), 4);
  });

  it('of an unending one is 1, of a small one its area over the square of the distance and π', () => {
    expect(facingFactor(1e6, 1e6, 1)).toBeCloseTo(1, 5);
    expect(facingFactor(0.01, 0.01, 3) / (1e-4 / (9 * Math.PI))).toBeCloseTo(1, 4);
  });

  // Howell's catalogue, C-11 read for a small patch: a quarter of side = distance sees 0.1385 of a square to its corner (from memory)
  it('of a square seen from under its corner is the handbook’s', () => {
    expect(facingFactor(2, 2, 1) / 4).toBeCloseTo(0.1385, 3);
  });
});
