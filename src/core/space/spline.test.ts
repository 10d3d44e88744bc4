import { angleAbout, polylineLength } from './frame';
import fc from 'fast-check';
import { CatmullRomCurve3, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { pathFromSpec } from './path';
import { add, cross, dot, length, normalize, scale, subtract, type Vec3 } from './vector';

const closed = (points: readonly Vec3[]) => pathFromSpec({ kind: 'closed', points });
/** Points whose distances differ by a factor of thirty. */
const uneven: Vec3[] = [
  [0, 0, 0],
  [0.3, 0.1, 0],
  [0.4, 0.4, 0.2],
  [8, 1, -2],
  [9, -1, 6],
  [1, 0.5, 9],
  [0.8, 0.2, 8.8],
];
const circle = (n: number, radius: number): Vec3[] =>
  Array.from({ length: n }, (_, i) => {
    const a = (i / n) * 2 * Math.PI;
    return [radius * Math.cos(a), 0, radius * Math.sin(a)];
  });

describe('closed splines', () => {
  it('go through their points', () => {
    const path = closed(uneven);
    for (const point of uneven) {
      let nearest = Infinity;
      for (let i = 0; i < 20_000; i++)
        nearest = Math.min(nearest, length(subtract(path.pointAt((i / 20_000) * path.length), point)));
      expect(nearest).toBeLessThan(path.length / 20_000);
    }
  });

  it('move uniformly by arc length to 0.1 %, however uneven their points', () => {
    for (const points of [uneven, circle(5, 3), uneven.map(([x, y, z]): Vec3 => [x, 4 * y, z * 0.2])]) {
      const path = closed(points);
      const h = path.length * 1e-5;
      const speeds = Array.from({ length: 900 }, (_, i) => {
        const s = (i / 900) * path.length;
        return length(subtract(path.pointAt(s + h), path.pointAt(s - h))) / (2 * h);
      });
      expect(Math.max(...speeds)).toBeLessThan(1.001);
      expect(Math.min(...speeds)).toBeGreaterThan(0.999);
    }
  });

  it('have the length of their polyline, and of a circle through many points', () => {
    const path = closed(uneven);
    const points = Array.from({ length: 40_001 }, (_, i) => path.pointAt((i / 40_000) * path.length));
    expect(polylineLength(points) / path.length).toBeCloseTo(1, 6);
    expect(closed(circle(24, 3)).length / (6 * Math.PI)).toBeCloseTo(1, 4);
  });

  it('do not jerk: acceleration has no jumps', () => {
    const path = closed(circle(6, 3).map(([x, , z], i): Vec3 => [x, i % 2, z]));
    const h = path.length / 20_000;
    const bendAt = (s: number): Vec3 =>
      scale(
        add(subtract(path.pointAt(s + h), path.pointAt(s)), subtract(path.pointAt(s - h), path.pointAt(s))),
        1 / (h * h),
      );
    let worst = 0;
    for (let i = 0; i < 2000; i++) {
      const s = (i / 2000) * path.length;
      worst = Math.max(worst, length(subtract(bendAt(s + 2 * h), bendAt(s))));
    }
    // curvature is about 1/3; a C1 curve would jump by that much at its points
    expect(worst).toBeLessThan(0.02);
  });

  it('their frames close to 1e-6, are orthonormal and right-handed', () => {
    for (const points of [uneven, circle(7, 2).map(([x, , z], i): Vec3 => [x, Math.sin(i * 2), z])]) {
      const path = closed(points);
      const [start, end] = [path.frameAt(0), path.frameAt(path.length * (1 - 1e-12))];
      for (const name of ['tangent', 'up', 'right'] as const)
        expect(length(subtract(start[name], end[name]))).toBeLessThan(1e-6);
      const again = path.frameAt(0.3 * path.length + path.length);
      expect(length(subtract(again.up, path.frameAt(0.3 * path.length).up))).toBeLessThan(1e-9);
      for (let i = 0; i < 50; i++) {
        const { tangent, up, right } = path.frameAt((i / 50) * path.length);
        for (const v of [tangent, up, right]) expect(length(v)).toBeCloseTo(1, 10);
        expect(dot(tangent, up)).toBeCloseTo(0, 10);
        expect(length(subtract(cross(tangent, up), right))).toBeLessThan(1e-10);
      }
    }
  });

  it('turn about their tangent by no more than the even spread', () => {
    const path = closed(uneven);
    const steps = 16_000;
    const h = path.length / steps;
    const turns = Array.from({ length: steps }, (_, i) => {
      const [a, b] = [path.frameAt(i * h), path.frameAt((i + 1) * h)];
      const flattened = normalize(subtract(a.up, scale(b.tangent, dot(a.up, b.tangent))));
      return angleAbout(b.tangent, flattened, b.up);
    });
    const mean = turns.reduce((sum, v) => sum + v, 0) / steps;
    for (const turn of turns) expect(Math.abs(turn - mean)).toBeLessThan(2e-4);
  });

  it('agree with three’s closed curve on evenly spread points', () => {
    const points = circle(16, 4).map(([x, , z], i): Vec3 => [x, 0.5 * Math.sin((i / 16) * 4 * Math.PI), z]);
    const path = closed(points);
    const other = new CatmullRomCurve3(
      points.map((p) => new Vector3(...p)),
      true,
      'centripetal',
    );
    expect(path.length / other.getLength()).toBeCloseTo(1, 2);
    for (const u of [0.1, 0.45, 0.9]) {
      const p = other.getPointAt(u);
      expect(length(subtract([p.x, p.y, p.z], path.pointAt(u * path.length)))).toBeLessThan(0.03);
    }
  });

  it('hold for any points, even when some coincide', () => {
    const metre = fc.double({ min: -20, max: 20, noNaN: true });
    fc.assert(
      fc.property(fc.array(fc.tuple(metre, metre, metre), { minLength: 2, maxLength: 9 }), (points) => {
        const path = closed([...points, points[0], [1, 2, 3]]);
        for (let i = 0; i < 12; i++) {
          const s = (i / 12) * path.length;
          expect([...path.pointAt(s), ...path.frameAt(s).up].every(Number.isFinite)).toBe(true);
          expect(length(subtract(path.pointAt(s + path.length), path.pointAt(s)))).toBeLessThan(1e-6);
        }
      }),
      { numRuns: 60 },
    );
  });
});
