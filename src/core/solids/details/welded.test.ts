import { describe, expect, it } from 'vitest';
import { newLayer } from '../../layers/kinds';
import type { CopiesLayer } from '../../layers/copies/form';
import { bodyOf, sourceMesh } from '../source';
import { broken } from '../pieces';
import type { Mesh } from '../mesh';
import { welded } from './welded';

const copies = newLayer('copies', 'a', 'A') as CopiesLayer;
const meshOf = (source: CopiesLayer['source'], pieces = 0): Mesh =>
  sourceMesh(bodyOf({ ...copies, source, bevel: 0 }), pieces, 3);

/** Six times the volume that triangles enclose. */
const volume = ({ position }: Mesh, index: Uint32Array): number => {
  let sum = 0;
  for (let i = 0; i < index.length; i += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => [...position.subarray(index[i + k] * 3, index[i + k] * 3 + 3)]);
    sum += a[0] * (b[1] * c[2] - b[2] * c[1]) + a[1] * (b[2] * c[0] - b[0] * c[2]) + a[2] * (b[0] * c[1] - b[1] * c[0]);
  }
  return sum;
};

describe('triangles of one vertex a place', () => {
  it.each([['box'], ['sphere'], ['prism'], ['cylinder']] as const)(
    'of a %s enclose what they did, with fewer vertices',
    (source) => {
      const mesh = meshOf(source);
      const index = welded(mesh, mesh.index);
      expect(volume(mesh, index)).toBeCloseTo(volume(mesh, mesh.index), 5);
      expect(new Set(index).size).toBeLessThanOrEqual(new Set(mesh.index).size);
    },
  );

  it('a box has eight', () => {
    const mesh = meshOf('box');
    expect(new Set(welded(mesh, mesh.index)).size).toBe(8);
  });

  it('pieces that fly apart stay apart', () => {
    const whole = meshOf('box');
    const mesh = broken(whole, 6, 5);
    const index = welded(mesh, mesh.index);
    const numbers = mesh.piece ?? new Float32Array();
    for (let i = 0; i < index.length; i += 3)
      expect(new Set([0, 1, 2].map((k) => numbers[index[i + k] * 4 + 3])).size).toBe(1);
    expect(new Set([...index].map((v) => numbers[v * 4 + 3])).size).toBeGreaterThan(2);
  });
});
