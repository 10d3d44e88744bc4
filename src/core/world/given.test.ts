import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { givenWorld, type GivenLayer, type GivenMesh } from './given';

const given = (layer: Parameters<typeof pieceOf>[0], phase = 0.3): GivenLayer =>
  givenWorld(pieceOf(layer), phase, 1).layers[0];

const row = (values: ArrayLike<number>, i: number): number[] => [0, 1, 2].map((k) => values[i * 3 + k]);
const dot = (a: readonly number[], b: readonly number[]): number => a.reduce((sum, v, k) => sum + v * b[k], 0);

/** Of every triangle: the way it faces, of length 1, its middle, and the normals at its corners. */
function trianglesOf({ position, normal, index }: GivenMesh) {
  return Array.from({ length: index.length / 3 }, (_, t) => {
    const corners = [0, 1, 2].map((k) => index[t * 3 + k]);
    const [a, b, c] = corners.map((i) => row(position, i));
    const [u, v] = [b, c].map((p) => p.map((x, k) => x - a[k]));
    const across = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
    const length = Math.hypot(...across);
    return {
      faces: across.map((x) => x / length),
      middle: a.map((x, k) => (x + b[k] + c[k]) / 3),
      normals: corners.map((i) => row(normal, i)),
    };
  });
}

describe('the wall of a tunnel, for other programs', () => {
  const tunnel = {
    kind: 'tunnel' as const,
    rings: 12,
    nested: 0,
    wobble: 0,
    twist: 0,
    radius: 2,
    lines: 'none' as const,
    wall: 'skin' as const,
  };

  it('is closed round, faces inwards, and is smooth where the section is', () => {
    const { meshes, bodies, points, lines } = given({ ...tunnel, section: 'circle' });
    expect([meshes.length, bodies.length, points, lines]).toEqual([1, 0, null, null]);
    const [mesh] = meshes;
    const triangles = trianglesOf(mesh);
    const around = 64;
    expect(triangles).toHaveLength(12 * 2 * around);
    for (const { faces, middle, normals } of triangles) {
      // the axis is at x = y = 0
      const inwards = [-middle[0], -middle[1], 0].map((v) => v / Math.hypot(middle[0], middle[1]));
      expect(dot(faces, inwards)).toBeGreaterThan(0.98);
      for (const normal of normals) {
        expect(Math.hypot(...normal)).toBeCloseTo(1, 5);
        expect(dot(normal, inwards)).toBeGreaterThan(0.98);
      }
    }
    // smooth: all that meet at a corner have one vertex in common
    expect(mesh.position.length / 3).toBe(around * 13);
    expect(mesh.colour).toHaveLength(mesh.position.length);
  });

  it('has hard edges where the section is folded', () => {
    const [mesh] = given({ ...tunnel, section: 'polygon', sides: 6 }).meshes;
    for (const { faces, normals } of trianglesOf(mesh))
      for (const normal of normals) expect(dot(normal, faces)).toBeGreaterThan(0.999);
    // each corner of a ring has one for either side
    expect(mesh.position.length / 3).toBe(6 * 13 * 2);
  });
});

describe('a net, for other programs', () => {
  const net = {
    kind: 'links' as const,
    form: 'box' as const,
    count: 80,
    width: 6,
    height: 4,
    depth: 7,
    distance: 1.6,
    most: 0,
    falloff: 2,
    linkGradient: [{ at: 0, colour: '#ffffff' }],
  };

  it.each([true, false])('is its lines between near points, where tiles join (%s) too', (wraps) => {
    const tile = pieceOf({ ...net, wraps }).tile;
    const { lines, points } = given({ ...net, wraps });
    if (!lines || !points) throw new Error('nothing is given');
    const apart = (i: number): number =>
      Math.hypot(...row(lines.position, 2 * i).map((v, k) => v - row(lines.position, 2 * i + 1)[k]));
    const count = lines.position.length / 6;
    expect(count).toBeGreaterThan(20);
    const key = (p: readonly number[]): string =>
      p.map((v, k) => (k === 2 ? ((v % tile) + tile) % tile : v).toFixed(3)).join();
    const known = new Set(Array.from({ length: points.size.length }, (_, i) => key(row(points.position, i))));
    for (let i = 0; i < count; i++) {
      expect(apart(i)).toBeLessThan(1.6);
      // the nearer, the brighter (docs/laws.md, Nets)
      for (let k = 0; k < 6; k++) expect(lines.colour[i * 6 + k]).toBeCloseTo((1 - apart(i) / 1.6) ** 2, 4);
      for (const end of [0, 1]) expect(known.has(key(row(lines.position, 2 * i + end)))).toBe(true);
    }
  });
});
