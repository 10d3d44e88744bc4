import { describe, expect, it } from 'vitest';
import { spreadInDepth } from './spread';

const places = (...[size, count, clear, seed]: Parameters<typeof spreadInDepth>): number[][] => {
  const flat = spreadInDepth(size, count, clear, seed);
  return Array.from({ length: count }, (_, i) => [...flat.subarray(i * 3, i * 3 + 3)]);
};

describe('spread in depth', () => {
  it('each is in the middle of a slice of its own, the nearest first', () => {
    const z = places([4, 2, 30], 15, 0, 3).map((p) => p[2]);
    z.forEach((v, i) => expect(v).toBeCloseTo(14 - 2 * i, 5));
  });

  it('across the box every quarter has its share', () => {
    const all = places([8, 4, 10], 400, 0, 9);
    for (const sx of [-1, 1])
      for (const sy of [-1, 1]) {
        const there = all.filter(([x, y]) => x * sx > 0 && y * sy > 0).length;
        expect(Math.abs(there - 100)).toBeLessThan(8);
      }
  });

  it('none is within what is kept clear, none outside the box', () => {
    for (const [x, y] of places([6, 3, 10], 300, 1.2, 5)) {
      expect(Math.hypot(x, y)).toBeGreaterThan(1.2 - 1e-4);
      expect(Math.abs(x)).toBeLessThan(3 + 1e-4);
      expect(Math.abs(y)).toBeLessThan(1.5 + 1e-4);
    }
  });

  it('where all of the box is to be kept clear they stand at its border', () => {
    for (const [x, y] of places([2, 2, 10], 50, 9, 5)) expect(Math.max(Math.abs(x), Math.abs(y))).toBeCloseTo(1, 5);
  });

  it('another seed gives other places, the same the same', () => {
    expect(places([4, 4, 4], 9, 0.5, 1)).toEqual(places([4, 4, 4], 9, 0.5, 1));
    expect(places([4, 4, 4], 9, 0.5, 1)).not.toEqual(places([4, 4, 4], 9, 0.5, 2));
  });
});
