import { describe, expect, it } from 'vitest';
import { blurCircleMm, blurRadiusPx, depthLimitsMm, fieldOfViewDeg, hyperfocalMm, shutterSeconds } from './optics';

// Handbook values: Ray, Applied Photographic Optics, 2002, ch. 22 (formulas); figures as in common tables, from memory.
describe('optics', () => {
  it('hyperfocal distance of 50 mm at f/8 and 0.03 mm is about 10.5 m', () => {
    expect(hyperfocalMm(50, 8, 0.03)).toBeCloseTo(10_466.7, 1);
  });

  it.each([
    [85, 23.9],
    [35, 54.4],
    [24, 73.7],
    [50, 39.6],
    [20, 84.0],
  ])('%d mm sees %d degrees across 36 mm', (focal, angle) => {
    expect(fieldOfViewDeg(focal)).toBeCloseTo(angle, 1);
  });

  it('sharp limits are where the blur circle has the allowed size', () => {
    const { near, far } = depthLimitsMm(50, 8, 3000, 0.03);
    expect(blurCircleMm(50, 8, 3000, near)).toBeCloseTo(0.03, 6);
    expect(blurCircleMm(50, 8, 3000, far)).toBeCloseTo(0.03, 6);
    // 50 mm, f/8, 3 m: about 2.34 m to 4.19 m in tables
    expect(near / 1000).toBeCloseTo(2.34, 1);
    expect(far / 1000).toBeCloseTo(4.19, 1);
    expect(depthLimitsMm(50, 8, hyperfocalMm(50, 8)).far).toBe(Infinity);
  });

  it('180° at 24 fps is 1/48 s', () => {
    expect(shutterSeconds(180, 24)).toBeCloseTo(1 / 48, 12);
  });

  it('the engine’s blur equals the handbook’s when the image distance is used', () => {
    const [focal, n, focus, distance, sensor, width] = [85, 2, 2500, 6000, 36, 1920];
    const image = (focal * focus) / (focus - focal);
    const pixelFocal = (width * image) / sensor;
    const ours = 2 * blurRadiusPx(focal / 1000 / n, pixelFocal, focus / 1000, distance / 1000);
    expect(ours).toBeCloseTo((blurCircleMm(focal, n, focus, distance) * width) / sensor, 9);
  });
});
