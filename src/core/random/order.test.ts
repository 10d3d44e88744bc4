import { describe, expect, it } from 'vitest';
import { hash4, unitFrom } from './hash';
import { RF } from '../kernel/scratch';
import { orderedPoint } from './order.gen';

const point = (id: number, seed: number): number[] => {
  orderedPoint(id, seed);
  return [RF[0], RF[1], RF[2]];
};

/** Largest error of the counts in axis-parallel boxes anchored at the origin: a lower bound of the star discrepancy. */
function boxError(points: number[][]): number {
  let worst = 0;
  for (let i = 0; i < 400; i++) {
    const box = hash4(i, 1, 2, 3).map(unitFrom);
    const inside = points.filter((p) => p[0] < box[0] && p[1] < box[1] && p[2] < box[2]).length;
    worst = Math.max(worst, Math.abs(inside / points.length - box[0] * box[1] * box[2]));
  }
  return worst;
}

describe('low-discrepancy order', () => {
  it('stays in the unit cube', () => {
    const all = Array.from({ length: 5000 }, (_, id) => point(id, 3)).flat();
    expect(all.every((v) => v >= 0 && v < 1)).toBe(true);
  });

  // R3: Roberts 2018. A fair sample is one whose boxes hold what their volume says; random points do worse.
  it('every first k are a fairer sample than random points', () => {
    for (const count of [250, 1000, 4000]) {
      const ordered = Array.from({ length: count }, (_, id) => point(id, 11));
      const random = Array.from({ length: count }, (_, id) => hash4(id, 99, 1, 1).slice(0, 3).map(unitFrom));
      expect(boxError(ordered)).toBeLessThan(boxError(random) * 0.85);
    }
  });

  it('a point does not depend on how many there are, only on its index and seed', () => {
    expect(point(17, 5)).toEqual(point(17, 5));
    expect(point(17, 5)).not.toEqual(point(17, 6));
  });

  it('does not clump: no two of the first thousand are closer than random ones would be', () => {
    const points = Array.from({ length: 1000 }, (_, id) => point(id, 2));
    let sum = 0;
    for (let i = 0; i < points.length; i++) {
      let nearest = 9;
      for (let j = 0; j < points.length; j++)
        if (j !== i) nearest = Math.min(nearest, Math.hypot(...points[i].map((v, k) => v - points[j][k])));
      sum += nearest;
    }
    // mean nearest distance of a Poisson process in 3D: 0.554 n^(-1/3) (Chandrasekhar 1943)
    expect(sum / points.length).toBeGreaterThan(0.554 / 10);
  });
});
