import { cross, dot, normalize, subtract, type Vec3 } from '../space/vector';
import { weldOf } from './details/welded';
import type { Mesh } from './mesh';

/** Edges of a mesh, each once. */
export interface Edges {
  count: number;
  /** of each the two vertices it goes between */
  ends: Uint32Array;
  /** unit normals of the two faces beside it, six numbers each; a border has that of its one face twice, the second turned about */
  normals: Float32Array;
  /** the cosine of the angle by which its look turns across it: 1 where the mesh is round there or even, -1 for a border */
  folds: Float32Array;
}

/** Across less than this, as a cosine, faces are one even face. */
const EVEN = 1 - 1e-6;

/** Faces smaller than this, in square units of the element's size, have no way that they face. */
const SMALLEST = 1e-10;

interface Edge {
  /** welded */
  ends: readonly [number, number];
  faces: Vec3[];
  /** the mesh's own vertices at both ends, of each face */
  own: (readonly [number, number])[];
}

/**
 * The edges of a choice of a mesh's triangles: its borders, and those across which faces turn. They are creases where the mesh has
 * vertices of their own for both sides.
 * @param index three vertices of the mesh a triangle
 * @param all those within even faces too
 */
export function edgesOf(mesh: Mesh, index: Uint32Array, all = false): Edges {
  const weld = weldOf(mesh, index);
  const three = (of: Float32Array, vertex: number): Vec3 => [...of.subarray(vertex * 3, vertex * 3 + 3)] as Vec3;
  const beside = new Map<string, Edge>();
  for (let i = 0; i < index.length; i += 3) {
    const corners = [index[i], index[i + 1], index[i + 2]];
    const [a, b, c] = corners.map((vertex) => three(mesh.position, vertex));
    const across = cross(subtract(b, a), subtract(c, a));
    if (dot(across, across) < SMALLEST ** 2) continue;
    const face = normalize(across);
    corners.forEach((from, k) => {
      const to = corners[(k + 1) % 3];
      const [one, other] = [weld[from], weld[to]];
      const straight = one < other;
      const key = straight ? `${one} ${other}` : `${other} ${one}`;
      const edge = beside.get(key) ?? { ends: [Math.min(one, other), Math.max(one, other)], faces: [], own: [] };
      edge.faces.push(face);
      edge.own.push(straight ? [from, to] : [to, from]);
      beside.set(key, edge);
    });
  }
  const foldOf = ({ own: [first, second] }: Edge): number =>
    Math.min(...[0, 1].map((end) => dot(three(mesh.normal, first[end]), three(mesh.normal, second[end]))));
  const ends: number[] = [];
  const normals: number[] = [];
  const folds: number[] = [];
  for (const edge of beside.values()) {
    const { faces } = edge;
    const [one, other] = faces;
    const border = faces.length === 1;
    if (border && mesh.joined === true) continue;
    if (!all && !border && dot(one, other) > EVEN) continue;
    ends.push(...edge.ends);
    normals.push(...one, ...(border ? (one.map((v) => -v) as Vec3) : other));
    folds.push(border ? -1 : Math.max(-0.999, foldOf(edge)));
  }
  return {
    count: folds.length,
    ends: Uint32Array.from(ends),
    normals: Float32Array.from(normals),
    folds: Float32Array.from(folds),
  };
}
