import { describe, expect, it } from 'vitest';
import { facing } from '../../core/space/frame';
import { rotate, type Vec3 } from '../../core/space/vector';
import { cornersOf, type Box } from '../../core/space/box';
import { boxOf, common, coneAround, fitted } from './fit';

const SIDE = 512;
const axesOf = (back: Vec3): [Vec3, Vec3, Vec3] => {
  const q = facing([-back[0], -back[1], -back[2]], [0, 1, 0]);
  return [rotate(q, [1, 0, 0]), rotate(q, [0, 1, 0]), rotate(q, [0, 0, 1])];
};
const seen: Vec3[] = cornersOf({ low: [-2, -1, -12], high: [2, 1, 0] });

describe('what a sun looks at', () => {
  it('is all that is seen of what there is, and reaches back to all before it', () => {
    const things = cornersOf({ low: [-1, -1, -9], high: [1.5, 6, -1] });
    const axes = axesOf([0.36, 0.8, 0.48]);
    const { middle, half, before, behind } = fitted(seen, things, axes, SIDE);
    const lens = boxOf(seen, axes);
    const all = boxOf(things, axes);
    for (const k of [0, 1]) {
      expect(middle[k] - half).toBeLessThanOrEqual(Math.max(lens.low[k], all.low[k]) + 1e-9);
      expect(middle[k] + half).toBeGreaterThanOrEqual(Math.min(lens.high[k], all.high[k]) - 1e-9);
    }
    expect(middle[2] + before).toBeGreaterThanOrEqual(all.high[2]);
    expect(middle[2] - behind).toBeLessThanOrEqual(Math.max(lens.low[2], all.low[2]));
    // no more than a step larger than it must be
    const wide = Math.max(
      ...[0, 1].map((k) => Math.min(lens.high[k], all.high[k]) - Math.max(lens.low[k], all.low[k])),
    );
    expect(2 * half).toBeLessThan(wide * 1.25);
  });

  it('moves by whole pixels when the camera does, and keeps its size', () => {
    const things = cornersOf({ low: [-40, -1, -80], high: [40, 1, 80] });
    const axes = axesOf([0, 0.8, 0.6]);
    const at = (z: number) =>
      fitted(
        seen.map(([x, y, w]): Vec3 => [x, y, w + z]),
        things,
        axes,
        SIDE,
      );
    const first = at(0);
    for (const z of [0.013, 0.4, 3.7]) {
      const next = at(z);
      expect(next.half).toBe(first.half);
      const px = (2 * first.half) / SIDE;
      for (const k of [0, 1]) {
        const moved = (next.middle[k] - first.middle[k]) / px;
        expect(Math.abs(moved - Math.round(moved))).toBeLessThan(1e-6);
      }
    }
  });

  it('has a size where nothing of what there is is seen', () => {
    const { half, before } = fitted(seen, cornersOf({ low: [50, 0, 50], high: [51, 1, 51] }), axesOf([0, 1, 0]), SIDE);
    expect(half).toBeGreaterThan(0);
    expect(Number.isFinite(before)).toBe(true);
  });
});

describe('what a lamp looks at', () => {
  it('is the narrowest cone around a box; none from within it', () => {
    const box = { low: [-1, 0, -4], high: [1, 1, -2] } satisfies Box;
    const cone = coneAround(box, [0, 6, 2]);
    if (!cone) throw new Error('there is none');
    const long = Math.hypot(...cone.way);
    for (const corner of cornersOf(box)) {
      const to = [corner[0], corner[1] - 6, corner[2] - 2];
      const angle = Math.acos(to.reduce((sum, v, k) => sum + v * cone.way[k], 0) / Math.hypot(...to) / long);
      expect(angle).toBeLessThanOrEqual(cone.half + 1e-9);
    }
    expect(cone.half).toBeLessThan(0.3);
    expect(coneAround(box, [0, 0.5, -3])).toBeNull();
  });

  it('of two boxes is what both have', () => {
    expect(common({ low: [0, 0, 0], high: [2, 2, 2] }, { low: [1, -1, 1], high: [3, 1, 3] })).toEqual({
      low: [1, 0, 1],
      high: [2, 1, 2],
    });
    expect(common({ low: [0, 0, 0], high: [1, 1, 1] }, { low: [2, 0, 0], high: [3, 1, 1] })).toBeNull();
  });
});
