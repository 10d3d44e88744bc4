import { describe, expect, it } from 'vitest';
import { patchShare } from './patches.gen';

/** The shares of many places, at a moment of the lap. */
const shares = (uneven: number, lap: number, patch = 0.4, seed = 3): number[] =>
  Array.from({ length: 900 }, (_, i) =>
    patchShare((i % 30) / 15 - 1, Math.floor(i / 30) / 15 - 1, patch, uneven, lap, 2, seed),
  );

describe('an uneven blur', () => {
  it('even is all of it everywhere; uneven, none of it somewhere and all of it elsewhere', () => {
    expect(new Set(shares(0, 0.3))).toEqual(new Set([1]));
    const all = shares(1, 0.3);
    expect(Math.min(...all)).toBeLessThan(0.01);
    expect(Math.max(...all)).toBeGreaterThan(0.99);
    expect(all.reduce((sum, v) => sum + v, 0) / all.length).toBeGreaterThan(0.35);
    expect(all.reduce((sum, v) => sum + v, 0) / all.length).toBeLessThan(0.65);
    // half as uneven, half of it is left everywhere
    expect(Math.min(...shares(0.5, 0.3))).toBeGreaterThanOrEqual(0.5);
  });

  it('is the same a lap later, and another between', () => {
    const now = shares(1, 0.3);
    shares(1, 1.3).forEach((v, i) => expect(v).toBeCloseTo(now[i], 6));
    expect(Math.max(...shares(1, 0.8).map((v, i) => Math.abs(v - now[i])))).toBeGreaterThan(0.3);
  });

  it('has patches as large as is said: places nearer than a tenth of one are about as blurred', () => {
    const differs = (patch: number): number => {
      const all = shares(1, 0.3, patch);
      return all.reduce((sum, v, i) => (i % 30 === 29 ? sum : sum + Math.abs(v - all[i + 1])), 0) / all.length;
    };
    expect(differs(0.8)).toBeLessThan(differs(0.2) * 0.5);
  });
});
