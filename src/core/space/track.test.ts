import { describe, expect, it } from 'vitest';
import { pathFromSpec } from './path';
import { trackOf, TRACK_NODES } from './track';
import { dot, length, subtract, type Vec3 } from './vector';

const circle = (radius: number, count = 32): Vec3[] =>
  Array.from({ length: count }, (_, i): Vec3 => {
    const a = (2 * Math.PI * i) / count;
    return [radius * Math.cos(a), 0.3, radius * Math.sin(a)];
  });
const wander: Vec3[] = [
  [0, 0, -1],
  [2, 1, -3],
  [-1, -0.5, -6],
];

describe('a path that goes on by a step', () => {
  const path = pathFromSpec({ kind: 'onward', points: wander, advance: 10 });

  it('passes through its points and repeats a step farther, in place, tangent and upright', () => {
    for (const s of [0, 0.13, 3.9, path.length * 0.7]) {
      const [a, b] = [path.pointAt(s), path.pointAt(s + path.length)];
      expect(length(subtract(b, a))).toBeCloseTo(10, 9);
      expect(b[2] - a[2]).toBeCloseTo(-10, 9);
      const [f, g] = [path.frameAt(s), path.frameAt(s + path.length)];
      expect(length(subtract(f.tangent, g.tangent))).toBeLessThan(1e-9);
      expect(length(subtract(f.up, g.up))).toBeLessThan(1e-6);
    }
    const fine = Array.from({ length: 4000 }, (_, i) => path.pointAt((i / 4000) * path.length));
    for (const point of wander) expect(Math.min(...fine.map((p) => length(subtract(p, point))))).toBeLessThan(0.003);
  });

  it('keeps a uniform speed and a continuous curvature, across the seam too', () => {
    const h = path.length / 3000;
    const at = Array.from({ length: 3003 }, (_, i) => path.pointAt(i * h));
    const steps = at.slice(1).map((p, i) => length(subtract(p, at[i])));
    expect(Math.max(...steps) / Math.min(...steps)).toBeLessThan(1.001);
    const bends = at.slice(2).map((p, i) => [0, 1, 2].map((k) => (p[k] - 2 * at[i + 1][k] + at[i][k]) / h ** 2));
    const jumps = bends.slice(1).map((b, i) => length(subtract(b as Vec3, bends[i] as Vec3)));
    const most = Math.max(...bends.map((b) => length(b as Vec3)));
    expect(Math.max(...jumps) / most).toBeLessThan(0.05);
  });
});

describe('the table of a track', () => {
  /** The cubic B-spline of the table (de Boor, A Practical Guide to Splines, §IX), by itself. */
  const place = (table: Float64Array, u: number, column: number): Vec3 => {
    const at = u * TRACK_NODES;
    const node = Math.min(TRACK_NODES - 1, Math.floor(at));
    const f = at - node;
    const w = [(1 - f) ** 3, 3 * f ** 3 - 6 * f ** 2 + 4, 3 * (1 - f) ** 3 - 6 * (1 - f) ** 2 + 4, f ** 3];
    return [0, 1, 2].map((k) => w.reduce((sum, v, i) => sum + v * table[(node + i) * 8 + column + k], 0) / 6) as Vec3;
  };

  it.each([
    ['a circle', pathFromSpec({ kind: 'closed', points: circle(7) }), 0],
    ['a wandering way', pathFromSpec({ kind: 'onward', points: wander, advance: 10 }), 10],
  ])('meets %s at its nodes exactly and between them closely', (_, path, gain) => {
    const { table, low, high } = trackOf(path, gain);
    for (let i = 0; i < 1000; i++) {
      const u = i / 1000;
      const want = path.pointAt(u * path.length);
      expect(length(subtract(place(table, u, 0), want))).toBeLessThan(1e-4 * path.length);
      want.forEach((v, k) => {
        expect(v).toBeGreaterThanOrEqual(low[k]);
        expect(v).toBeLessThanOrEqual(high[k]);
      });
      const up = place(table, u, 4);
      expect(dot(up, path.frameAt(u * path.length).up) / length(up)).toBeGreaterThan(0.99999);
    }
    for (let node = 0; node < TRACK_NODES; node++) {
      const u = node / TRACK_NODES;
      expect(length(subtract(place(table, u, 0), path.pointAt(u * path.length)))).toBeLessThan(1e-9);
    }
  });

  // a circle of radius r has the length 2πr
  it('a ring of many points is a circle', () => {
    const path = pathFromSpec({ kind: 'closed', points: circle(7) });
    expect(path.length).toBeCloseTo(2 * Math.PI * 7, 3);
    for (let i = 0; i < 100; i++) {
      const [x, , z] = path.pointAt((i / 100) * path.length);
      expect(Math.hypot(x, z)).toBeCloseTo(7, 3);
    }
  });
});
