import { describe, expect, it } from 'vitest';
import { hash4, unitFrom } from '../random/hash';
import { poissonDisk } from './poisson';

const SIZE = [4, 3, 8] as const;
const nearest = (points: Float32Array, count: number, wraps: boolean): number => {
  let least = Infinity;
  for (let i = 0; i < count; i++)
    for (let j = 0; j < i; j++) {
      let z = Math.abs(points[i * 3 + 2] - points[j * 3 + 2]);
      if (wraps) z = Math.min(z, SIZE[2] - z);
      least = Math.min(least, Math.hypot(points[i * 3] - points[j * 3], points[i * 3 + 1] - points[j * 3 + 1], z));
    }
  return least;
};

describe('Poisson-disk places', () => {
  it.each([true, false])('no two are nearer than stated, wrapping along the tile: %s', (wraps) => {
    const points = poissonDisk(SIZE, 300, 0.45, wraps, 3);
    expect(points.length / 3).toBe(300);
    expect(nearest(points, 300, wraps)).toBeGreaterThanOrEqual(0.45);
  });

  it('fills the box: asked for more than fit, hardly any place is left farther than twice the distance', () => {
    const distance = 0.8;
    const points = poissonDisk(SIZE, 5000, distance, true, 5);
    const count = points.length / 3;
    expect(count).toBeLessThan(5000);
    let empty = 0;
    for (let i = 0; i < 2000; i++) {
      const at = hash4(i, 1, 2, 3).map((h, k) => (unitFrom(h) - 0.5) * (SIZE[k] ?? 0));
      let least = Infinity;
      for (let j = 0; j < count; j++) {
        let z = Math.abs(points[j * 3 + 2] - at[2]);
        z = Math.min(z, SIZE[2] - z);
        least = Math.min(least, Math.hypot(points[j * 3] - at[0], points[j * 3 + 1] - at[1], z));
      }
      if (least > distance * 1.5) empty++;
    }
    expect(empty / 2000).toBeLessThan(0.01);
  });

  it('any beginning is spread out: its nearest two are farther apart than chance would have them', () => {
    const points = poissonDisk(SIZE, 400, 0.05, true, 9);
    const random = Float32Array.from({ length: 150 }, (_, i) => (unitFrom(hash4(i, 8, 8, 8)[0]) - 0.5) * SIZE[i % 3]);
    expect(nearest(points, 50, true)).toBeGreaterThan(2 * nearest(random, 50, true));
  });

  it('more points leave the first where they are', () => {
    const few = poissonDisk(SIZE, 100, 0.3, true, 4);
    // the grid of cells depends on the count only through what no longer fits
    const many = poissonDisk(SIZE, 120, 0.6, true, 4);
    expect(few.length).toBe(300);
    expect(nearest(many, many.length / 3, true)).toBeGreaterThanOrEqual(0.6);
  });
});
