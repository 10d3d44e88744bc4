import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { phaseAt, pointAt, stretchesOf, trackLength, trackPath } from './track';

const track = { x: 10, y: 20, width: 400, height: 200, radius: 12 };

describe('the track around the picture', () => {
  it('starts in the middle of the top and runs clockwise', () => {
    expect(pointAt(track, 0)).toEqual({ x: 210, y: 20 });
    expect(pointAt(track, 0.25).x).toBeCloseTo(410, 6);
    expect(pointAt(track, 0.5)).toMatchObject({ y: 220 });
    expect(pointAt(track, 0.5).x).toBeCloseTo(210, 6);
    expect(pointAt(track, 0.75).x).toBeCloseTo(10, 6);
  });

  it('finds back the phase of every point on it, and of points beside it', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.999, noNaN: true }), (phase) => {
        const found = phaseAt(track, pointAt(track, phase));
        const apart = Math.abs(found - phase);
        expect(Math.min(apart, 1 - apart)).toBeLessThan(1e-4);
      }),
    );
    expect(phaseAt(track, { x: 210, y: 400 })).toBeCloseTo(0.5, 4);
  });

  it('walks at even speed', () => {
    const gaps = Array.from({ length: 500 }, (_, i) => {
      const [a, b] = [pointAt(track, i / 500), pointAt(track, (i + 1) / 500)];
      return Math.hypot(a.x - b.x, a.y - b.y);
    });
    // chords of the corner arcs are a little shorter than the arcs
    expect(Math.max(...gaps) / Math.min(...gaps)).toBeLessThan(1.01);
  });

  it('is as long as its sides and its corners', () => {
    const length = trackLength(track);
    expect(length).toBeCloseTo(2 * (376 + 176) + 2 * Math.PI * 12, 9);
  });

  it('is one closed path', () => {
    const path = trackPath(track);
    expect(path).toMatch(/^M210 20H398A12/);
    expect(path).toMatch(/H210$/);
  });
});

describe('stretches of frames', () => {
  it('are those that follow one another', () => {
    expect(stretchesOf(new Set([0, 1, 2, 6, 9]), 10)).toEqual([
      { from: 0, length: expect.closeTo(0.3) as number },
      { from: 0.6, length: 0.1 },
      { from: 0.9, length: 0.1 },
    ]);
    expect(stretchesOf(new Set(), 10)).toEqual([]);
  });
});
