import { describe, expect, it } from 'vitest';
import { volumeOf } from '../../../tests/meshes';
import { contourReversed, shapesArea, type Shape } from '../type/shape';
import type { Mesh } from './mesh';
import { relief } from './relief';

const square = (half: number): Float64Array => Float64Array.of(-half, -half, half, -half, half, half, -half, half);
const around = (n: number, radius: number): Float64Array =>
  Float64Array.from({ length: n * 2 }, (_, i) =>
    i % 2 === 0 ? radius * Math.cos((Math.PI * i) / n) : radius * Math.sin((Math.PI * (i - 1)) / n),
  );
const BOX: Shape = { outline: square(1), holes: [] };
const FRAME: Shape = { outline: square(1), holes: [contourReversed(square(0.5))] };
/** A ring as thin as the bevel is wide on one side: a stroke the bevel must give way to. */
const RING: Shape = { outline: around(48, 1), holes: [contourReversed(around(40, 0.93))] };
/** A spike with a very sharp corner. */
const SPIKE: Shape = { outline: Float64Array.of(-1, 0, 0, -0.06, 1, 0, 0, 0.06), holes: [] };

/** Edges that are not met by the same edge the other way round. */
function open({ position, index }: Mesh): number {
  const at = (i: number): string =>
    [...position.subarray(index[i] * 3, index[i] * 3 + 3)].map((v) => Math.round(v * 1e5) + 0).join();
  const count = new Map<string, number>();
  for (let i = 0; i < index.length; i += 3)
    for (let k = 0; k < 3; k++) {
      const [a, b] = [at(i + k), at(i + ((k + 1) % 3))];
      if (a === b) continue;
      count.set(`${a}|${b}`, (count.get(`${a}|${b}`) ?? 0) + 1);
      count.set(`${b}|${a}`, (count.get(`${b}|${a}`) ?? 0) - 1);
    }
  return [...count.values()].filter((v) => v !== 0).length;
}

/** The largest angle between a triangle and the normals of its corners, as a cosine. */
function leastAgreement({ position, normal, index }: Mesh): number {
  let least = 1;
  for (let i = 0; i < index.length; i += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => position.subarray(index[i + k] * 3, index[i + k] * 3 + 3));
    const [u, v] = [b, c].map((p) => [p[0] - a[0], p[1] - a[1], p[2] - a[2]]);
    const n = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
    const length = Math.hypot(...n);
    if (length < 1e-9) continue;
    for (let k = 0; k < 3; k++) {
      const own = normal.subarray(index[i + k] * 3, index[i + k] * 3 + 3);
      least = Math.min(least, (n[0] * own[0] + n[1] * own[1] + n[2] * own[2]) / length);
    }
  }
  return least;
}

describe('shapes given depth', () => {
  // the volume of a prism is its area times its depth (elementary geometry)
  it.each([
    ['a square', BOX],
    ['a frame', FRAME],
    ['a thin ring', RING],
  ])('%s is a closed prism', (_, shape) => {
    const mesh = relief([shape], { depth: 0.3, bevel: 0, steps: 1 });
    expect(open(mesh)).toBe(0);
    expect(volumeOf(mesh)).toBeCloseTo(shapesArea([shape]) * 0.3, 6);
    expect(mesh.open).toBe(false);
  });

  it('is flat and open without depth', () => {
    const mesh = relief([FRAME], { depth: 0, bevel: 0.1, steps: 2 });
    expect(mesh.open).toBe(true);
    expect(mesh.position.filter((_, i) => i % 3 === 2).every((z) => z === 0)).toBe(true);
  });

  // a prism and two frusta: h/3 (A + a + √(A·a)), elementary geometry
  it('takes straight edges off a square exactly', () => {
    const mesh = relief([BOX], { depth: 1, bevel: 0.2, steps: 1 });
    const [A, a] = [4, 1.6 ** 2];
    expect(open(mesh)).toBe(0);
    expect(volumeOf(mesh)).toBeCloseTo(A * 0.6 + 2 * (0.2 / 3) * (A + a + Math.sqrt(A * a)), 6);
    expect(leastAgreement(mesh)).toBeGreaterThan(0.999);
  });

  it('keeps the outline: its widest is as wide as before, with corners', () => {
    const { position } = relief([FRAME], { depth: 1, bevel: 0.1, steps: 4 });
    const corner = Array.from({ length: position.length / 3 }, (_, i) => position.subarray(i * 3, i * 3 + 3)).filter(
      ([x, y]) => x === 1 && y === 1,
    );
    expect(corner.map(([, , z]) => Math.abs(z)).every((z) => z <= 0.4 + 1e-6)).toBe(true);
    expect(corner.length).toBeGreaterThan(0);
  });

  it.each([
    ['a frame', FRAME, 0.1],
    ['a thin ring', RING, 0.2],
    ['a spike', SPIKE, 0.2],
    ['many corners', { outline: around(120, 1), holes: [] }, 0.3],
    ['a bevel wider than all', BOX, 3],
  ] as const)('rounds the edges of %s: closed, inside the prism, normals outwards', (_, shape, bevel) => {
    for (const steps of [1, 4]) {
      const mesh = relief([shape], { depth: 0.5, bevel, steps });
      expect(open(mesh)).toBe(0);
      expect(volumeOf(mesh)).toBeLessThan(shapesArea([shape]) * 0.5);
      expect(volumeOf(mesh)).toBeGreaterThan(shapesArea([shape]) * 0.5 * 0.3);
      expect(leastAgreement(mesh)).toBeGreaterThan(0.2);
    }
  });

  it('refuses what has no area', () => {
    expect(() => relief([], { depth: 1, bevel: 0, steps: 1 })).toThrow(RangeError);
  });
});
