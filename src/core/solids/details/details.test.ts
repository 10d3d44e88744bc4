import { describe, expect, it } from 'vitest';
import { grow } from '../../plants/grow';
import { SPECIES } from '../../plants/species';
import { LIST } from '../list';
import type { Mesh } from '../mesh';
import { NO_MODEL } from '../solid';
import { broken } from '../pieces';
import { detailsOf } from './details';
import { deviation } from './deviation';

/** A star of four points. */
const STAR = Array.from({ length: 8 }, (_, i): [number, number] => {
  const [angle, radius] = [(i * Math.PI) / 4, i % 2 === 0 ? 0.5 : 0.2];
  return [radius * Math.sin(angle), radius * Math.cos(angle)];
});
const SHAPE = {
  ...NO_MODEL,
  outline: STAR,
  sides: 6,
  bevel: 0.06,
  thickness: 0.18,
  detail: 5,
  wide: 1,
  high: 1,
  deep: 1,
};
const solids = LIST.map(({ kind, mesh }): [string, Mesh] => [kind, mesh(SHAPE)]);
const plants = Object.entries(SPECIES).map(([name, species]): [string, Mesh] => [name, grow(species, 3)]);

/** How often each edge of some triangles is run along, by the places of its ends. */
function sides({ position, piece }: Mesh, index: Uint32Array): Map<string, number> {
  const place = (v: number): string =>
    [...position.subarray(v * 3, v * 3 + 3)].map((x) => Math.round(x * 1e5)).join() + (piece ? piece[v * 4 + 3] : '');
  const out = new Map<string, number>();
  for (let t = 0; t < index.length; t += 3)
    for (let k = 0; k < 3; k++) {
      const key = [place(index[t + k]), place(index[t + ((k + 1) % 3)])].sort().join(' ');
      out.set(key, (out.get(key) ?? 0) + 1);
    }
  return out;
}

describe.each([...solids, ...plants])('details of %s', (_, mesh) => {
  const details = detailsOf(mesh);

  it('begin with all of it, have ever fewer triangles and ever more error', () => {
    expect(details[0].index).toBe(mesh.index);
    expect(details[0].error).toBe(0);
    for (let k = 1; k < details.length; k++) {
      expect(details[k].index.length).toBeLessThan(details[k - 1].index.length);
      expect(details[k].error).toBeGreaterThanOrEqual(details[k - 1].error);
    }
  });

  it('are as closed as the mesh is', () => {
    const wholes = [...sides(mesh, mesh.index).values()].every((n) => n === 2);
    for (const { index } of details) {
      const counts = [...sides(mesh, index).values()];
      expect(index.length).toBeGreaterThan(0);
      if (wholes) expect(counts.every((n) => n === 2)).toBe(true);
      expect(index.every((v) => v < mesh.position.length / 3)).toBe(true);
    }
  });
});

describe('simplifying', () => {
  const sphere = (detail: number): Mesh =>
    LIST.find(({ kind }) => kind === 'sphere')?.mesh({ ...SHAPE, detail }) ?? solids[0][1];

  it('a ball is off by what a ball of so many triangles must be off by, and not by much more', () => {
    // a triangle of side s on a ball of radius r is off by s²/(6r) at its middle, and n triangles have s² = 16 pi r²/(n √3)
    for (const { index, error } of detailsOf(sphere(12)).slice(1)) {
      const least = (16 * Math.PI * 0.5) / ((index.length / 3) * Math.sqrt(3) * 6);
      expect(error).toBeGreaterThan(0.4 * least);
      expect(error).toBeLessThan(4 * least);
    }
  });

  it('ends before what shows: a rounded box loses its rounding last, and all at once', () => {
    const box = LIST.find(({ kind }) => kind === 'box')?.mesh({ ...SHAPE, bevel: 0.1, detail: 1 }) ?? solids[0][1];
    const details = detailsOf(box);
    const [, next] = details;
    const last = details[details.length - 1];
    // six faces, twelve edges of two triangles each and eight corners are 44
    expect(next.index.length / 3).toBeLessThan(108 * 0.7);
    expect(next.index.length / 3).toBeGreaterThanOrEqual(44);
    expect(next.error).toBeLessThan(0.02);
    expect(last.index.length / 3).toBeLessThan(20);
    expect(last.error).toBeGreaterThan(0.1);
  });

  it('what is flat costs nothing, whatever it is cut into', () => {
    const n = 12;
    const position = Float32Array.from({ length: (n + 1) ** 2 * 3 }, (_, i) => {
      const v = Math.floor(i / 3);
      return [(v % (n + 1)) / n - 0.5, 0, Math.floor(v / (n + 1)) / n - 0.5][i % 3];
    });
    const normal = Float32Array.from(position, (_, i) => (i % 3 === 1 ? 1 : 0));
    const index = Uint32Array.from({ length: n * n * 6 }, (_, i) => {
      const [cell, k] = [Math.floor(i / 6), i % 6];
      const at = Math.floor(cell / n) * (n + 1) + (cell % n);
      return at + [0, n + 1, 1, 1, n + 1, n + 2][k];
    });
    const [, ...coarser] = detailsOf({
      position,
      normal,
      index,
      piece: null,
      uv: null,
      worn: null,
      sample: new Uint32Array(),
      open: true,
      radius: 0.71,
    });
    expect(coarser.length).toBeGreaterThan(1);
    for (const { error } of coarser) expect(error).toBeLessThan(1e-6);
  });

  it('a wrong normal counts as well as a wrong place', () => {
    const box = LIST.find(({ kind }) => kind === 'box')?.mesh(SHAPE) ?? solids[0][1];
    const twisted: Mesh = { ...box, normal: box.normal.map((v, i) => (i % 3 === 0 ? -v : v)) };
    expect(deviation(box, box.index)).toBeLessThan(1e-6);
    expect(deviation({ ...box, normal: twisted.normal }, box.index)).toBeLessThan(1e-6);
    // the flat of a face must not take the normals of its rounded edge
    const worst = detailsOf(box).at(-1);
    expect(worst?.error).toBeGreaterThan(0.02);
  });

  it('pieces of a broken body stay apart', () => {
    const shards = broken(sphere(4), 6, 2);
    for (const { index } of detailsOf(shards))
      for (let t = 0; t < index.length; t += 3) {
        const piece = (k: number): number | undefined => shards.piece?.[index[t + k] * 4 + 3];
        expect([piece(1), piece(2)]).toEqual([piece(0), piece(0)]);
      }
  });
});
