import { describe, expect, it } from 'vitest';
import { advanced } from './clock';
import { LiveScale } from './scale';

const PARTICLES = { particles: true, shapes: false };
const SHAPES = { particles: false, shapes: true };

describe('the size of the live picture', () => {
  const after = (times: readonly number[], frameMs = 40, from = new LiveScale()): LiveScale => {
    for (const ms of times) from.took(ms, frameMs);
    return from;
  };
  const many = (ms: number, count: number): number[] => Array.from({ length: count }, () => ms);

  it('shrinks when three frames in a row are slow, and not for one or two', () => {
    const first = new LiveScale().scale;
    expect(after(many(60, 2)).scale).toBe(first);
    expect(after([60, 60, 30, 60, 60]).scale).toBe(first);
    expect(after(many(60, 3)).scale).toBeLessThan(first);
  });

  /** Frames that are paid by the pixel, besides what each costs whatever its size. */
  const paid = (most: number, least: number, count: number, from = new LiveScale()): LiveScale => {
    for (let i = 0; i < count; i++) from.took(least + most * from.scale ** 2, 40);
    return from;
  };

  it('goes to the size that holds the rate, but not under half for that', () => {
    // 100 ms at full size: 36 at 0.6
    expect(paid(100, 0, 10).scale).toBe(0.6);
    expect(paid(400, 0, 60).scale).toBe(0.5);
    // half would be 300 ms: 0.3 is 108
    expect(paid(1200, 0, 60).scale).toBe(0.3);
  });

  it('is no smaller than it helps', () => {
    const held = paid(60, 400, 100);
    expect(held.scale).toBeGreaterThan(0.5);
    // and stays there, but for a try now and then
    let smaller = 0;
    for (let i = 0; i < 400; i++) if (paid(60, 400, 1, held).scale < 0.7) smaller++;
    expect(smaller).toBeLessThan(40);
  });

  it('grows again when two dozen are fast, and goes no further than its ends', () => {
    const small = paid(10_000, 0, 100);
    expect(small.scale).toBe(0.25);
    expect(after(many(10, 23), 40, small).scale).toBe(0.25);
    expect(after(many(10, 1), 40, small).scale).toBeGreaterThan(0.25);
    expect(after(many(1, 1000), 40, small).scale).toBe(1);
  });

  it('comes back as far as frames stay fast, at once', () => {
    const small = paid(10_000, 0, 100);
    // 400 ms at full size: half is 100
    expect(paid(400, 0, 25, small).scale).toBe(0.42);
    expect(paid(400, 0, 30, paid(10_000, 0, 100)).scale).toBeLessThanOrEqual(0.5);
  });

  it('asks no frame that is the first of its kind', () => {
    const held = paid(60, 0, 30);
    const { scale } = held;
    // each time it changes, one frame takes long
    const small = paid(10_000, 0, 3, held);
    expect(small.scale).toBeLessThan(scale);
    small.took(10_000, 40);
    expect(paid(100, 0, 30, small).scale).toBeGreaterThanOrEqual(0.5);
  });

  /** Frames that are paid by the particle: so much for all of them, and the rest whatever is drawn. */
  const dense = (most: number, least: number, count: number, from = new LiveScale()): LiveScale => {
    for (let i = 0; i < count; i++) from.took(least + most * from.density, 40, PARTICLES);
    return from;
  };

  it('leaves out as many particles as it takes, at the size that saved nothing, and brings them back', () => {
    const thin = dense(300, 20, 60);
    expect([thin.scale, thin.density]).toEqual([0.7, 0.35]);
    // 24 fast frames bring back one step each
    for (let i = 0; i < 24 * 8; i++) thin.took(5, 40, PARTICLES);
    expect([thin.scale, thin.density]).toEqual([1, 1]);
  });

  it('leaves out none where that saves nothing, and goes on with the size', () => {
    const still = new LiveScale();
    for (let i = 0; i < 60; i++) still.took(1200 * still.scale ** 2, 40, PARTICLES);
    expect([still.scale, still.density]).toEqual([0.3, 1]);
  });

  it('has no particles to leave out in a piece without', () => {
    const small = paid(1200, 0, 60);
    expect(small.density).toBe(1);
    // one that had them is given to another piece
    const thin = dense(300, 20, 60);
    thin.took(100, 40);
    expect([thin.scale, thin.density]).toEqual([0.7, 1]);
  });

  it('goes under half the size with few particles where both are needed', () => {
    const least = new LiveScale();
    for (let i = 0; i < 120; i++) least.took(1500 * least.density * (0.1 + least.scale ** 2) + 60, 40, PARTICLES);
    expect(least.scale).toBeLessThan(0.5);
    expect(least.density).toBe(0.25);
  });

  /** Frames that are paid by the shape and by the pixel. */
  const shaped = (most: number, pixels: number, count: number, from = new LiveScale()): LiveScale => {
    for (let i = 0; i < count; i++) from.took(most / from.coarseness + pixels * from.scale ** 2, 40, SHAPES);
    return from;
  };

  it('has coarser shapes before it is smaller than half, and finer ones again when frames are fast', () => {
    // at half 100 + 80, and with coarser shapes 40 + 80
    const coarse = shaped(100, 320, 60);
    expect([coarse.scale, coarse.coarseness]).toEqual([0.5, 2.5]);
    const back = shaped(20, 100, 60, coarse);
    expect(back.coarseness).toBe(1);
    // a piece without shapes has none that are coarse
    const other = shaped(100, 320, 60);
    other.took(50, 40, PARTICLES);
    expect(other.coarseness).toBe(1);
  });

  it('keeps coarse shapes for less than it would a smaller size, because they are hardly seen', () => {
    // at half 170 ms, and 146 with coarser shapes: 86 %, and still too much
    const few = shaped(40, 520, 60);
    expect([few.scale, few.coarseness]).toEqual([0.42, 2.5]);
  });

  it('has fine shapes where coarse ones save nothing, and goes on with the size', () => {
    const still = shaped(0, 1200, 60);
    expect([still.scale, still.coarseness]).toEqual([0.3, 1]);
  });

  it('stays where a frame neither hurries nor rests', () => {
    const first = new LiveScale().scale;
    expect(after(many(39, 200)).scale).toBe(first);
    // a piece of one frame a second is not given a second for a frame
    expect(after(many(300, 3), 1000).scale).toBeLessThan(first);
  });
});

describe('the clock of the live picture', () => {
  const lap = { frames: 100, rate: { num: 25, den: 1 } };

  it('goes through a lap in its seconds, at any speed, and on into the next', () => {
    expect(advanced(0, 1000, lap, 1, false)).toBeCloseTo(0.25, 12);
    expect(advanced(0, 1000, lap, 0.5, false)).toBeCloseTo(0.125, 12);
    expect(advanced(0.9, 1000, lap, 1, false)).toBeCloseTo(0.15, 12);
    let phase = 0.3;
    for (let i = 0; i < 400; i++) phase = advanced(phase, 10, lap, 1, false);
    expect(phase).toBeCloseTo(0.3, 9);
  });

  it('a frame that took minutes goes on by half a lap at most', () => {
    expect(advanced(0, 120_000, lap, 1, false)).toBe(0.5);
  });

  it('across the seam: half a second to either side, over and over', () => {
    const half = 0.5 / 4;
    let phase = 0;
    const seen: number[] = [];
    for (let i = 0; i < 500; i++) seen.push((phase = advanced(phase, 17, lap, 1, true)));
    expect(seen.every((p) => p <= half + 1e-9 || p >= 1 - half - 1e-9)).toBe(true);
    expect(seen.some((p) => p < 0.1) && seen.some((p) => p > 0.9)).toBe(true);
    // a lap of less than a second is played whole
    const short = { frames: 10, rate: { num: 25, den: 1 } };
    expect(advanced(0.4, 40, short, 1, true)).toBeCloseTo(0.5, 9);
  });
});
