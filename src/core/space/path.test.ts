import { angleAbout, doubleReflection, polylineLength } from './frame';
import { CatmullRomCurve3, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { pathFromSpec } from './path';
import { cross, dot, length, normalize, subtract, type Vec3 } from './vector';

const helix = pathFromSpec({ kind: 'helix', radius: 1.5, turns: 2, advance: 12 });

describe('paths', () => {
  it('a straight run is its length', () => {
    const path = pathFromSpec({ kind: 'straight', length: 8 });
    expect(path.length).toBe(8);
    expect(path.pointAt(3)).toEqual([0, 0, -3]);
    expect(path.frameAt(3).tangent.map((v) => v + 0)).toEqual([0, 0, -1]);
  });

  // length and curvature of a helix in closed form: do Carmo, Differential Geometry of Curves and Surfaces, §1.5
  it('a helix has the length and curvature of the textbook', () => {
    const c = 12 / (2 * Math.PI * 2);
    expect(helix.length).toBeCloseTo(2 * Math.PI * 2 * Math.hypot(1.5, c), 10);
    const points = Array.from({ length: 4001 }, (_, i) => helix.pointAt((i / 4000) * helix.length));
    expect(polylineLength(points)).toBeCloseTo(helix.length, 3);
    const h = 1e-3;
    const turn = length(subtract(helix.frameAt(3 + h).tangent, helix.frameAt(3 - h).tangent)) / (2 * h);
    expect(turn).toBeCloseTo(1.5 / (1.5 ** 2 + c ** 2), 5);
  });

  it('moves at uniform speed: equal steps of s are equal distances to 0.1 %', () => {
    const step = helix.length / 500;
    const gaps = Array.from({ length: 500 }, (_, i) =>
      length(subtract(helix.pointAt((i + 1) * step), helix.pointAt(i * step))),
    );
    expect(Math.max(...gaps) / Math.min(...gaps)).toBeLessThan(1.001);
  });

  it('agrees with three’s curve through the same points', () => {
    const samples = Array.from({ length: 61 }, (_, i) => new Vector3(...helix.pointAt((i / 60) * helix.length)));
    const curve = new CatmullRomCurve3(samples, false, 'catmullrom', 0.5);
    expect(curve.getLength()).toBeCloseTo(helix.length, 1);
    const p = curve.getPointAt(0.37);
    expect(length(subtract([p.x, p.y, p.z], helix.pointAt(0.37 * helix.length)))).toBeLessThan(0.02);
  });

  it('frames are orthonormal and right-handed, and repeat after every turn', () => {
    for (const s of [0, 1.1, 5.7, helix.length]) {
      const { tangent, right, up } = helix.frameAt(s);
      for (const v of [tangent, right, up]) expect(length(v)).toBeCloseTo(1, 12);
      expect(dot(tangent, up)).toBeCloseTo(0, 12);
      expect(length(subtract(cross(right, up), [-tangent[0], -tangent[1], -tangent[2]]))).toBeLessThan(1e-12);
    }
    const first = helix.frameAt(0.4);
    const next = helix.frameAt(0.4 + helix.length / 2);
    expect(length(subtract(first.up, next.up))).toBeLessThan(1e-6);
  });

  // Wang, Jüttler, Zheng & Liu, ACM TOG 27(1), 2008: error of double reflection falls with the fourth power of the step.
  // Exact rotation-minimising frame of a helix: the Frenet frame turned back by torsion × arc length (Bishop 1975).
  it('double reflection reaches the exact frame of a helix with fourth order', () => {
    const [r, c] = [1, 0.5];
    const scale = Math.hypot(r, c);
    const torsion = c / (r * r + c * c);
    const total = 6;
    const at = (s: number): { p: Vec3; t: Vec3; normal: Vec3; binormal: Vec3 } => {
      const a = s / scale;
      const t = normalize([-r * Math.sin(a), r * Math.cos(a), c]);
      const normal: Vec3 = [-Math.cos(a), -Math.sin(a), 0];
      return { p: [r * Math.cos(a), r * Math.sin(a), c * a], t, normal, binormal: cross(t, normal) };
    };
    const error = (steps: number): number => {
      const frames = Array.from({ length: steps + 1 }, (_, i) => at((i / steps) * total));
      const ups = doubleReflection(
        frames.map(({ p }) => p),
        frames.map(({ t }) => t),
        frames[0].normal,
      );
      const { t, normal, binormal } = frames[steps];
      const turn = -torsion * total;
      const exact: Vec3 = normal.map((v, i) => v * Math.cos(turn) + binormal[i] * Math.sin(turn)) as Vec3;
      return Math.abs(angleAbout(t, exact, ups[steps]));
    };
    const [coarse, fine] = [error(40), error(80)];
    expect(coarse).toBeLessThan(1e-4);
    expect(coarse / fine).toBeGreaterThan(12);
    expect(coarse / fine).toBeLessThan(20);
  });
});
