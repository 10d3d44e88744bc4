import { beforeAll, describe, expect, it } from 'vitest';
import { volumeOf } from '../../../../tests/meshes';
import { hash4, unitFrom } from '../../random/hash';
import { NearestTriangle } from '../details/nearest';
import { box } from '../box';
import { sphere, torus } from '../lathe';
import type { Mesh } from '../mesh';
import { cornerNormals } from './normals';
import { lightened, prepareModel } from './prepare';
import { simplifierReady } from './simplified';
import { BARE, type RawModel, type RawPart } from './raw';
import { weldRows } from '../weld';

const partOf = ({ position, index }: Mesh, more: Partial<RawPart> = {}): RawPart => ({
  ...{ position, normal: null, uv: null, dye: null, index, material: 0 },
  ...more,
});
const rawOf = (parts: RawPart[], more: Partial<RawModel> = {}): RawModel => ({
  ...{ name: 'a', parts, materials: [BARE], pictures: [], up: 'y', unit: 1 },
  ...more,
});
/** Every triangle with vertices of its own, as STL has them. */
const loose = ({ position, index }: Mesh): RawPart => ({
  ...partOf({ position, index } as Mesh),
  position: Float32Array.from([...index].flatMap((v) => [...position.subarray(v * 3, v * 3 + 3)])),
  index: Uint32Array.from({ length: index.length }, (_, i) => i),
});

beforeAll(() => simplifierReady);

describe('normals that a file does not have', () => {
  it('of a ball of facets are those of the ball', () => {
    const part = loose(sphere(48));
    const normals = cornerNormals(part);
    let worst = 1;
    for (let i = 0; i < normals.length; i += 3) {
      const along = [0, 1, 2].reduce((sum, k) => sum + normals[i + k] * part.position[i + k] * 2, 0);
      worst = Math.min(worst, along);
    }
    // half a facet of 7.5° would be 0.998
    expect(worst).toBeGreaterThan(0.9985);
  });

  it('of a box stay hard at its edges, whatever faces a corner has', () => {
    const part = loose(box([0.5, 0.3, 0.2], 0, 1));
    const normals = cornerNormals(part);
    for (let i = 0; i < normals.length; i += 3)
      expect([0, 1, 2].map((k) => Math.abs(normals[i + k])).sort()).toEqual([0, 0, 1]);
  });

  it('said to be hard they are those of the faces; said to be soft they are round over every edge', () => {
    const ball = cornerNormals({ ...loose(sphere(24)), edges: 'hard' });
    expect([0, 1, 2].every((k) => ball[k] === ball[3 + k] && ball[k] === ball[6 + k])).toBe(true);
    const part = loose(box([0.5, 0.5, 0.5], 0, 1));
    const soft = cornerNormals({ ...part, edges: 'soft' });
    // weighed by angles, a cube’s corner looks straight out however its faces are cut
    for (let i = 0; i < soft.length; i++) expect(soft[i]).toBeCloseTo(Math.sign(part.position[i]) / Math.sqrt(3), 5);
  });

  it('where very many faces meet it comes to an end', () => {
    const n = 60_000;
    const position = new Float32Array((n + 1) * 3);
    for (let i = 0; i < n; i++) position.set([Math.cos(i), 0.01 * Math.sin(5 * i), Math.sin(i)], (i + 1) * 3);
    const index = Uint32Array.from({ length: n * 3 }, (_, i) =>
      i % 3 === 0 ? 0 : 1 + ((Math.floor(i / 3) + (i % 3)) % n),
    );
    expect(cornerNormals({ position, index }).every(Number.isFinite)).toBe(true);
  });
});

describe('a model made ready', () => {
  it('is one across, about its middle, welded as its faces were before they came apart', () => {
    const whole = torus(0.2, 24);
    const part = loose(whole);
    part.position = part.position.map((v, i) => v * 30 + [5, -2, 400][i % 3]);
    const { position, facts, details } = prepareModel(rawOf([part]), 'ring.obj');
    const [low, high] = [
      [Infinity, Infinity, Infinity],
      [-Infinity, -Infinity, -Infinity],
    ];
    position.forEach((v, i) => {
      low[i % 3] = Math.min(low[i % 3], v);
      high[i % 3] = Math.max(high[i % 3], v);
    });
    expect(Math.max(...high.map((v, k) => v - low[k]))).toBeCloseTo(1, 5);
    for (let k = 0; k < 3; k++) expect(low[k] + high[k]).toBeCloseTo(0, 5);
    expect(facts).toMatchObject({ closed: true, triangles: whole.index.length / 3, normals: 'made' });
    // one vertex for each place: a torus is round all over
    expect(facts.vertices).toBe(facts.triangles / 2);
    expect(facts.span[0]).toBeCloseTo(30, 3);
    expect(details[0].error).toBe(0);
  });

  it('that was inside out is turned about', () => {
    const whole = box([0.5, 0.4, 0.3], 0, 1);
    const index = whole.index.slice();
    for (let t = 0; t < index.length; t += 3) index.subarray(t + 1, t + 3).reverse();
    const { position, details } = prepareModel(rawOf([partOf({ ...whole, index })]), 'a.obj');
    expect(volumeOf({ position, index: details[0].index } as Mesh)).toBeCloseTo(0.8 * 0.6, 5);
  });

  it('that is open is said to be', () => {
    const whole = sphere(12);
    expect(prepareModel(rawOf([partOf({ ...whole, index: whole.index.slice(3) })]), 'a.obj').facts.closed).toBe(false);
  });

  it('keeps corners apart that have another place on a picture, or material, or dye', () => {
    const square = Float32Array.from([0, 0, 0, 1, 0, 0, 1, 1, 0, 0, 0, 0, 1, 1, 0, 0, 1, 0]);
    const index = Uint32Array.of(0, 1, 2, 3, 4, 5);
    const plain: RawPart = { position: square, normal: null, uv: null, dye: null, index, material: 0 };
    const count = (more: Partial<RawPart>): number => prepareModel(rawOf([{ ...plain, ...more }]), 'a').facts.vertices;
    expect(count({})).toBe(4);
    expect(count({ uv: Float32Array.of(0, 0, 1, 0, 1, 1, 0.5, 0, 1, 1, 0, 1) })).toBe(5);
    expect(count({ dye: Float32Array.from({ length: 18 }, (_, i) => (i < 9 ? 1 : 0.2)) })).toBe(6);
  });

  it.each([
    ['said by its file', { up: 'y', unit: 1 } as const, 'a.glb', 1, 'y', 1],
    ['facets lie on their z', { up: null, unit: null }, 'a.stl', 80, 'z', 0.001],
    ['words do not say: y', { up: null, unit: null }, 'a.obj', 2, 'y', 1],
    ['too large for metres: millimetres', { up: null, unit: null }, 'a.obj', 900, 'y', 0.001],
    ['millimetres would be a house: centimetres', { up: null, unit: null }, 'a.obj', 900_000, 'y', 1],
  ])('up and unit: %s', (_, more, name, size, up, unit) => {
    const whole = box([0.5, 0.5, 0.5], 0, 1);
    const part = partOf({ ...whole, position: whole.position.map((v) => v * size) });
    expect(prepareModel(rawOf([part], more), name).facts).toMatchObject({ up, unit });
  });

  it('z up is laid so that it stands', () => {
    // a post along its own z, wider below
    const position = Float32Array.of(-1, -1, 0, 1, -1, 0, 0, 1, 0, 0, 0, 9);
    const index = Uint32Array.of(0, 2, 1, 0, 1, 3, 1, 2, 3, 2, 0, 3);
    const {
      position: at,
      normal,
      details,
    } = prepareModel(rawOf([partOf({ position, index } as Mesh)], { up: null }), 'post.stl');
    const top = [...details[0].index].reduce((best, v) => (at[v * 3 + 1] > at[best * 3 + 1] ? v : best));
    at.subarray(top * 3, top * 3 + 3).forEach((v, k) => expect(v).toBeCloseTo([0, 0.5, 0][k], 5));
    // its front, which was towards −y, is towards z
    expect(volumeOf({ position: at, index: details[0].index } as Mesh)).toBeGreaterThan(0);
    expect(normal.some((v, i) => i % 3 === 2 && v > 0.9)).toBe(true);
  });
});

/** A knobbly ball with a crease around it: nothing that is simplified to nothing. */
function rock(sides: number): RawPart {
  const ball = sphere(sides);
  const position = ball.position.map((v, i) => {
    const [x, y, z] = [0, 1, 2].map((k) => ball.position[i - (i % 3) + k]);
    return v * (1 + 0.15 * Math.sin(9 * x + 2) * Math.cos(8 * y) + 0.1 * Math.sin(11 * z + x));
  });
  return partOf({ ...ball, position });
}

describe('details', () => {
  const ready = (): ReturnType<typeof prepareModel> => prepareModel(rawOf([rock(120)]), 'rock.obj');

  it('have fewer and fewer triangles, each of all vertices’ own', () => {
    const { details, facts } = ready();
    expect(details.length).toBeGreaterThanOrEqual(4);
    details.slice(1).forEach(({ index }, i) => {
      expect(index.length).toBeLessThan(details[i].index.length * 0.75);
      expect(Math.max(...index)).toBeLessThan(facts.vertices);
    });
  });

  it('are within their error of the whole, both ways, at places of chance (Hausdorff, sampled)', () => {
    const { position, details } = ready();
    const pointOf = (index: Uint32Array, i: number): [number, number, number] => {
      const [h, p, q] = hash4(i, 7, 1, 2).map(unitFrom);
      const t = Math.floor((h * index.length) / 3) * 3;
      const s = Math.sqrt(p);
      const shares = [1 - s, s * (1 - q), s * q];
      return [0, 1, 2].map((k) => shares.reduce((sum, w, c) => sum + w * position[index[t + c] * 3 + k], 0)) as [
        number,
        number,
        number,
      ];
    };
    const whole = new NearestTriangle(position, details[0].index);
    for (const { index, error } of details.slice(1)) {
      const coarse = new NearestTriangle(position, index);
      let most = 0;
      for (let i = 0; i < 3000; i++) {
        most = Math.max(most, coarse.to(...pointOf(details[0].index, i)).distance);
        most = Math.max(most, whole.to(...pointOf(index, i)).distance);
      }
      expect(most).toBeLessThan(error);
      // and it is no excuse: a part of it is really there
      expect(most).toBeGreaterThan(error * 0.1);
    }
  });

  it('the nearest triangle is the nearest of all', () => {
    const { position, details } = ready();
    const { index } = details[details.length - 1];
    const nearest = new NearestTriangle(position, index);
    // against a single triangle at a time, and places outside the box around it too
    for (let i = 0; i < 200; i++) {
      const at = hash4(i, 3, 1, 9).map((v) => 2.4 * unitFrom(v) - 1.2) as [number, number, number, number];
      let least = Infinity;
      for (let t = 0; t < index.length; t += 3)
        least = Math.min(
          least,
          new NearestTriangle(position, index.subarray(t, t + 3)).to(at[0], at[1], at[2]).distance,
        );
      expect(nearest.to(at[0], at[1], at[2]).distance).toBeCloseTo(least, 6);
    }
  });

  it('a page holds the coarse ones alone, with the facts of all', () => {
    const all = ready();
    const light = lightened(all);
    expect(light.facts).toEqual(all.facts);
    expect(light.details[0].index.length / 3).toBeLessThanOrEqual(3000);
    expect(light.position.length).toBeLessThan(all.position.length / 2);
    // its vertices are those of the same detail
    const { index } = all.details[all.details.length - light.details.length];
    light.details[0].index.forEach((v, i) => expect(light.position[v * 3]).toBe(all.position[index[i] * 3]));
  });
});

describe('welding', () => {
  it('gives the same number to the same rows, whichever way they fall together', () => {
    const rows = Int32Array.from({ length: 6000 }, (_, i) => hash4(Math.floor(i / 3) % 700, i % 3, 5, 5)[0] % 9);
    const { of, count } = weldRows(rows, 3);
    const known = new Map<string, number>();
    of.forEach((number, row) => {
      const key = rows.subarray(row * 3, row * 3 + 3).join();
      if (!known.has(key)) known.set(key, known.size);
      expect(number).toBe(known.get(key));
    });
    expect(count).toBe(known.size);
  });
});
