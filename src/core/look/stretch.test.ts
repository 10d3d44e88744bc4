import { describe, expect, it } from 'vitest';
import { levelIn } from './stretch';

describe('a stretch of the lap', () => {
  const hard = { from: 10, to: 20, fadeIn: 0, fadeOut: 0 };
  it('is on from its first frame up to its end, in all of a frame', () => {
    const on = Array.from({ length: 40 }, (_, f) => levelIn(hard, f, 40));
    expect(on.map((v, f) => (v > 0 ? f : -1)).filter((f) => f >= 0)).toEqual([10, 11, 12, 13, 14, 15, 16, 17, 18, 19]);
    expect(levelIn(hard, 19.9, 40)).toBe(1);
    expect(levelIn(hard, 20, 40)).toBe(0);
  });

  it('goes on across the seam, and is the same in every lap', () => {
    const across = { from: 35, to: 5, fadeIn: 0, fadeOut: 0 };
    expect([34, 35, 39, 40, 44, 45].map((f) => levelIn(across, f, 40))).toEqual([0, 1, 1, 1, 1, 0]);
    for (let f = 0; f < 40; f++) expect(levelIn(across, f, 40)).toBe(levelIn(across, f + 80, 40));
  });

  it('comes and goes evenly within itself, and fades that are longer than it share it', () => {
    const soft = { from: 0, to: 20, fadeIn: 4, fadeOut: 4 };
    const levels = Array.from({ length: 20 }, (_, f) => levelIn(soft, f, 40));
    for (let f = 1; f < 5; f++) expect(levels[f]).toBeGreaterThan(levels[f - 1]);
    expect(levels.slice(4, 16).every((v) => v === 1)).toBe(true);
    levels.forEach((v, f) => expect(v).toBeCloseTo(levels[19 - f], 12));
    const long = Array.from({ length: 20 }, (_, f) => levelIn({ ...soft, fadeIn: 100, fadeOut: 100 }, f, 40));
    expect(Math.max(...long)).toBeGreaterThan(0.9);
    expect(long[0]).toBeGreaterThan(0);
  });

  it('of all the lap, or none said, is always on', () => {
    expect(levelIn(null, 7, 40)).toBe(1);
    expect(levelIn({ from: 0, to: 40, fadeIn: 10, fadeOut: 10 }, 0, 40)).toBe(1);
  });
});
