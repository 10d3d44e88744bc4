import { describe, expect, it } from 'vitest';
import { toLinear } from '../colour/colour';
import { diodesOf, meltsFrom, seenWall, USUAL_WALL, type Wall } from './wall';

const filled = (width: number, height: number, code: (x: number, y: number) => number) => {
  const rgba = new Uint8Array(width * height * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) rgba.set([code(x, y), code(x, y), code(x, y), 255], (y * width + x) * 4);
  return { rgba, width, height };
};
const WHOLE = { x: 0.5, y: 0.5, wide: 1 };
const meanLight = (bytes: Uint8ClampedArray): number => {
  let sum = 0;
  for (let i = 0; i < bytes.length; i += 4) sum += toLinear(bytes[i] / 255);
  return sum / (bytes.length / 4);
};
const wall = (more: Partial<Wall> = {}): Wall => ({ ...USUAL_WALL, ...more });

describe('a simulated wall', () => {
  it('has as many diodes as fit its width, and melts together where a pitch is a minute of arc', () => {
    expect(diodesOf(wall({ pitchMm: 3.9, widthM: 6 }), 16 / 9)).toEqual({ width: 1538, height: 865 });
    // a minute of arc at 10 m is 2.909 mm
    expect(meltsFrom(wall({ pitchMm: 2.909 }))).toBeCloseTo(10, 2);
  });

  it('is the picture from far away, and as bright from near by, in dots with dark between them', () => {
    const grey = filled(40, 20, () => 110);
    const diodes = { width: 40, height: 20 };
    const far = seenWall(grey, wall(), diodes, WHOLE, { width: 20, height: 10 });
    expect(Math.abs(far[0] - 110)).toBeLessThanOrEqual(1);
    const near = seenWall(grey, wall(), diodes, { x: 0.5, y: 0.5, wide: 0.1 }, { width: 240, height: 120 });
    const codes = near.filter((_, i) => i % 4 === 0);
    expect(Math.min(...codes)).toBeLessThan(20);
    expect(Math.max(...codes)).toBeGreaterThan(150);
    // what is dark is a little light too
    expect(meanLight(near) / meanLight(far)).toBeGreaterThan(0.97);
    expect(meanLight(near) / meanLight(far)).toBeLessThan(1.05);
  });

  it('turned down it has fewer steps', () => {
    const ramp = filled(256, 4, (x) => x);
    const diodes = { width: 256, height: 4 };
    const steps = (brightness: number, greyBits: number): number => {
      const seen = seenWall(ramp, wall({ brightness, greyBits }), diodes, WHOLE, { width: 256, height: 4 });
      return new Set(seen.filter((_, i) => i % 4 === 0 && i < 1024)).size;
    };
    expect(steps(1, 16)).toBeGreaterThan(240);
    expect(steps(0.1, 8)).toBeLessThan(30);
    expect(steps(0.1, 16)).toBeGreaterThan(1.2 * steps(0.1, 10));
    const dim = seenWall(ramp, wall({ brightness: 0.5 }), diodes, WHOLE, { width: 256, height: 4 });
    expect(toLinear(dim[200 * 4] / 255) / toLinear(200 / 255)).toBeCloseTo(0.5, 1);
  });

  it('shows the part that is asked for, and nothing beyond its edges', () => {
    const halves = filled(64, 32, (x) => (x < 32 ? 30 : 220));
    const diodes = { width: 64, height: 32 };
    const left = seenWall(halves, wall(), diodes, { x: 0.25, y: 0.5, wide: 0.5 }, { width: 32, height: 16 });
    expect(Math.max(...left.filter((_, i) => i % 4 === 0))).toBeLessThan(40);
    const beyond = seenWall(halves, wall(), diodes, { x: 1.5, y: 0.5, wide: 0.5 }, { width: 32, height: 16 });
    expect(Math.max(...beyond.filter((_, i) => i % 4 === 0))).toBe(0);
  });
});
