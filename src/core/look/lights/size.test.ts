import { describe, expect, it } from 'vitest';
import { lightPoint, type LightPoint } from '../../lens/lightPoint';
import { inBall, onDisc } from './size';

const N = 4096;
const spread = (of: (at: LightPoint) => readonly number[]): number[][] =>
  Array.from({ length: N }, (_, i) => [...of(lightPoint(i, N, 0x51ab33))]);

/** The share of an even disc that is beyond a line at t of its radius. */
const beyond = (t: number): number => (Math.acos(t) - t * Math.sqrt(1 - t * t)) / Math.PI;

describe('points of a light', () => {
  it('of a ball look like an even disc from everywhere', () => {
    const points = spread((at) => inBall(2, at));
    for (const way of [
      [1, 0, 0],
      [0, 1, 0],
      [0, 0, 1],
      [0.36, 0.48, 0.8],
    ])
      for (const t of [-0.8, -0.3, 0, 0.5, 0.9]) {
        const share = points.filter((p) => p[0] * way[0] + p[1] * way[1] + p[2] * way[2] > 2 * t).length / N;
        expect([way, t, Math.abs(share - beyond(t)) < 0.012]).toEqual([way, t, true]);
      }
    expect(Math.max(...points.map(([x, y, z]) => Math.hypot(x, y, z)))).toBeLessThanOrEqual(2);
  });

  it('of a disc are even on it', () => {
    const points = spread((at) => onDisc(0.5, at));
    for (const t of [-0.6, 0, 0.6]) expect(points.filter(([x]) => x > 0.5 * t).length / N).toBeCloseTo(beyond(t), 1.9);
    expect(points.every(([x, y, z]) => z === 0 && Math.hypot(x, y) <= 0.5)).toBe(true);
  });
});
