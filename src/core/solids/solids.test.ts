import { describe, expect, it } from 'vitest';
import { box } from './box';
import { extrude, plane, regularOutline } from './extrude';
import { capsule, cone, cylinder, sphere, torus } from './lathe';
import { stretched, type Mesh } from './mesh';
import { broken } from './pieces';
import { platonic, type PlatonicName } from './platonic';

const at = (mesh: Mesh, i: number): number[] => [...mesh.position.subarray(i * 3, i * 3 + 3)];
const key = (mesh: Mesh, i: number): string =>
  at(mesh, i)
    .map((v) => Math.round(v * 1e4))
    .join();

/** Corners, edges and faces after welding vertices at one place, and whether every edge is used once in either direction. */
function topology(mesh: Mesh): { euler: number; closed: boolean; balanced: boolean } {
  const corners = new Set<string>();
  const edges = new Map<string, number>();
  let faces = 0;
  for (let t = 0; t < mesh.index.length; t += 3) {
    const keys = [0, 1, 2].map((k) => key(mesh, mesh.index[t + k]));
    if (new Set(keys).size < 3) continue;
    faces++;
    keys.forEach((k, i) => {
      corners.add(k);
      const edge = `${k}|${keys[(i + 1) % 3]}`;
      edges.set(edge, (edges.get(edge) ?? 0) + 1);
    });
  }
  const closed = [...edges].every(([edge, n]) => {
    const [a, b] = edge.split('|');
    return n === 1 && edges.get(`${b}|${a}`) === 1;
  });
  // a piece may touch itself along an edge: then it is used more than once, but as often one way as the other
  const balanced = [...edges].every(([edge, n]) => edges.get(edge.split('|').reverse().join('|')) === n);
  return { euler: corners.size - edges.size / 2 + faces, closed, balanced };
}

function measure(mesh: Mesh): { area: number; volume: number; outward: boolean } {
  let area = 0;
  let volume = 0;
  let outward = true;
  for (let t = 0; t < mesh.index.length; t += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => at(mesh, mesh.index[t + k]));
    const u = b.map((v, k) => v - a[k]);
    const v = c.map((w, k) => w - a[k]);
    const n = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
    const twice = Math.hypot(...n);
    area += twice / 2;
    volume += (a[0] * n[0] + a[1] * n[1] + a[2] * n[2]) / 6;
    if (twice < 1e-9) continue;
    for (let k = 0; k < 3; k++) {
      const own = mesh.normal.subarray(mesh.index[t + k] * 3, mesh.index[t + k] * 3 + 3);
      if (n.reduce((sum, w, i) => sum + w * own[i], 0) / twice < 0.2) outward = false;
    }
  }
  return { area, volume, outward };
}

describe('the five regular bodies', () => {
  // edge, area and volume for a circumradius of 1/2; textbook formulas (e.g. Coxeter, Regular Polytopes, table I)
  const phi = (1 + Math.sqrt(5)) / 2;
  const edge = {
    tetrahedron: 0.5 * Math.sqrt(8 / 3),
    cube: 1 / Math.sqrt(3),
    octahedron: 0.5 * Math.sqrt(2),
    icosahedron: 1 / Math.sqrt(phi * Math.sqrt(5)),
    dodecahedron: 1 / (Math.sqrt(3) * phi),
  };
  const areaOf = {
    tetrahedron: Math.sqrt(3),
    cube: 6,
    octahedron: 2 * Math.sqrt(3),
    icosahedron: 5 * Math.sqrt(3),
    dodecahedron: 3 * Math.sqrt(25 + 10 * Math.sqrt(5)),
  };
  const volumeOf = {
    tetrahedron: Math.sqrt(2) / 12,
    cube: 1,
    octahedron: Math.sqrt(2) / 3,
    icosahedron: (5 * (3 + Math.sqrt(5))) / 12,
    dodecahedron: (15 + 7 * Math.sqrt(5)) / 4,
  };
  it.each(Object.keys(edge) as PlatonicName[])('%s: closed, Euler 2, area and volume of the textbook', (name) => {
    const mesh = platonic(name);
    expect(topology(mesh)).toMatchObject({ euler: 2, closed: true });
    const { area, volume, outward } = measure(mesh);
    expect(area).toBeCloseTo(areaOf[name] * edge[name] ** 2, 5);
    expect(volume).toBeCloseTo(volumeOf[name] * edge[name] ** 3, 5);
    expect(outward).toBe(true);
    expect(mesh.radius).toBeCloseTo(0.5, 6);
  });
});

describe('turned and bevelled bodies', () => {
  const closed: [string, Mesh, number][] = [
    ['sharp box', box([0.5, 0.3, 0.2], 0, 1), 2],
    ['bevelled box', box([0.5, 0.3, 0.2], 0.08, 3), 2],
    ['ball', sphere(24), 2],
    ['capsule', capsule(0.4, 16), 2],
    ['cylinder', cylinder(20), 2],
    ['cone', cone(20), 2],
    ['ring', torus(0.2, 24), 0],
    ['prism', extrude(regularOutline(5), 0.4), 2],
    [
      'hollow outline',
      extrude(
        [
          [-0.5, -0.5],
          [0.5, -0.5],
          [0.5, 0.5],
          [0.1, -0.1],
          [-0.5, 0.5],
        ],
        0.3,
      ),
      2,
    ],
  ];
  it.each(closed)('%s: every edge twice, once each way, and the right Euler characteristic', (_, mesh, euler) => {
    expect(topology(mesh)).toMatchObject({ euler, closed: true });
    expect(measure(mesh).outward).toBe(true);
  });

  it('sizes are those of the formulas as the sides grow', () => {
    expect(measure(sphere(96)).volume).toBeCloseTo(Math.PI / 6, 2);
    expect(measure(sphere(96)).area).toBeCloseTo(Math.PI, 2);
    expect(measure(cylinder(200)).volume).toBeCloseTo(Math.PI / 4, 3);
    expect(measure(cone(200)).volume).toBeCloseTo(Math.PI / 12, 3);
    // two radii 0.4 and 0.1: 2 π² R r²
    expect(measure(torus(0.2, 200)).volume).toBeCloseTo(2 * Math.PI ** 2 * 0.4 * 0.01, 3);
    expect(measure(extrude(regularOutline(6), 0.5)).volume).toBeCloseTo(((3 * Math.sqrt(3)) / 8) * 0.5, 5);
    expect(measure(plane()).area).toBeCloseTo(1, 6);
  });

  it('a bevelled box is a box less what Steiner’s formula for its edges and corners takes away', () => {
    const [r, a, b, c] = [0.1, 0.8, 0.6, 0.4];
    // inner box, slabs, quarter cylinders, and a ball in the corners
    const volume =
      a * b * c + 2 * r * (a * b + b * c + c * a) + Math.PI * r * r * (a + b + c) + (4 / 3) * Math.PI * r ** 3;
    const mesh = box([a / 2 + r, b / 2 + r, c / 2 + r], r, 12);
    expect(measure(mesh).volume / volume).toBeCloseTo(1, 3);
  });

  it('refuses an outline without an area', () => {
    expect(() => extrude([], 1)).toThrow('three points');
    expect(() =>
      extrude(
        [
          [0, 0],
          [1, 1],
          [2, 2],
        ],
        1,
      ),
    ).toThrow('area');
  });

  it('stretching keeps it closed and its normals upright on the faces', () => {
    const mesh = stretched(sphere(24), [2, 1, 0.5]);
    expect(topology(mesh)).toMatchObject({ euler: 2, closed: true });
    expect(measure(mesh).outward).toBe(true);
    expect(measure(mesh).volume).toBeCloseTo(measure(sphere(24)).volume, 4);
  });
});

describe('breaking', () => {
  it.each([
    ['a box', box([0.5, 0.5, 0.5], 0.05, 2)],
    ['a ball', sphere(16)],
  ])('%s: pieces are closed bodies, and together still show the whole surface', (_, whole) => {
    const mesh = broken(whole, 12, 3);
    const { piece } = mesh;
    if (!piece) throw new Error('no pieces');
    const numbers = new Set(Array.from({ length: piece.length / 4 }, (_, i) => piece[i * 4 + 3]));
    expect(numbers.size).toBe(12);
    for (const number of numbers) {
      const own = [...mesh.index].filter((_, i) => piece[mesh.index[i - (i % 3)] * 4 + 3] === number);
      const part: Mesh = { ...mesh, index: Uint32Array.from(own) };
      expect(topology(part).balanced).toBe(true);
      expect(measure(part).volume).toBeGreaterThan(0);
    }
    const outside = measure(mesh).volume / measure(whole).volume;
    // what is within the inner skin is left out: 1 − (1 − 0.45)³
    expect(outside).toBeCloseTo(1 - 0.55 ** 3, 2);
  });
});
