import { describe, expect, it } from 'vitest';
import { edgesOf } from './edges';
import { MeshBuilder } from './mesh';
import { solidOf } from './solids';

const shape = { bevel: 0, sides: 6, thickness: 0.3, detail: 3, outline: [], wide: 1, high: 1, deep: 1 };
const meshOf = (name: string, more: object = {}) => solidOf(name as never).mesh({ ...shape, ...more } as never);

describe('edges', () => {
  it('of a box are twelve at right angles, and with those within its faces eighteen', () => {
    const box = meshOf('box');
    const { count, folds } = edgesOf(box, box.index);
    expect(count).toBe(12);
    for (const fold of folds) expect(Math.abs(fold)).toBeLessThan(1e-6);
    expect(edgesOf(box, box.index, true).count).toBe(18);
  });

  it('of something closed: as Euler says, and no border', () => {
    for (const name of ['sphere', 'torus', 'capsule', 'prism', 'cone']) {
      const mesh = meshOf(name);
      const all = edgesOf(mesh, mesh.index, true);
      const places = new Set(all.ends).size;
      const triangles = (2 * all.count) / 3;
      // vertices - edges + faces: 2, or 0 with a hole through it
      expect([name, places - all.count + triangles]).toEqual([name, name === 'torus' ? 0 : 2]);
      expect([...all.folds].every((fold) => fold > -1)).toBe(true);
    }
  });

  it('are creases only where the mesh is not round', () => {
    const ball = meshOf('sphere');
    const { count, folds } = edgesOf(ball, ball.index);
    expect(count).toBeGreaterThan(100);
    for (const fold of folds) expect(fold).toBeGreaterThan(0.999);
    // the rim of a cone's foot
    const cone = meshOf('cone');
    const rim = [...edgesOf(cone, cone.index).folds].filter((fold) => fold < 0.9).length;
    expect(rim).toBe(shape.detail * 8);
  });

  it('of something open end in borders', () => {
    const builder = new MeshBuilder();
    builder.face([
      [-0.5, -0.5, 0],
      [0.5, -0.5, 0],
      [0.5, 0.5, 0],
      [-0.5, 0.5, 0],
    ]);
    const plane = builder.build(true);
    const { count, folds, normals } = edgesOf(plane, plane.index);
    expect(count).toBe(4);
    expect([...folds]).toEqual([-1, -1, -1, -1]);
    expect([...normals.subarray(0, 6)]).toEqual([0, 0, 1, -0, -0, -1]);
  });
});
