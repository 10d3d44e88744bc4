import type { Mesh } from '../mesh';
import { weldRows } from '../weld';

/** Places this near are one, in units of the element's size. */
const NEAR = 1e5;

/**
 * For each vertex of some triangles the first of those at its place. Where a body breaks apart, what belongs to different pieces stays apart.
 * @returns a vertex for every vertex of the mesh; -1 for those that no triangle has
 */
export function weldOf({ position, piece }: Mesh, index: Uint32Array): Int32Array {
  const out = new Int32Array(position.length / 3).fill(-1);
  const used = new Uint32Array(out.length);
  let count = 0;
  for (const vertex of index) {
    if (out[vertex] >= 0) continue;
    out[vertex] = 0;
    used[count++] = vertex;
  }
  const rows = new Int32Array(count * 4);
  for (let i = 0; i < count; i++) {
    for (let k = 0; k < 3; k++) rows[i * 4 + k] = Math.round(position[used[i] * 3 + k] * NEAR);
    rows[i * 4 + 3] = piece ? piece[used[i] * 4 + 3] : 0;
  }
  const { of, count: places } = weldRows(rows, 4);
  const first = new Int32Array(places).fill(-1);
  for (let i = 0; i < count; i++) {
    if (first[of[i]] < 0) first[of[i]] = used[i];
    out[used[i]] = first[of[i]];
  }
  return out;
}

/**
 * The triangles of some choice of a mesh's corners with one vertex for each place: for what only asks where things are, not which way
 * they face.
 * @param index three vertices of the mesh a triangle
 * @returns the same triangles, without those that are none
 */
export function welded(mesh: Mesh, index: Uint32Array): Uint32Array {
  const of = weldOf(mesh, index);
  const out = new Uint32Array(index.length);
  let left = 0;
  for (let i = 0; i < index.length; i += 3) {
    const [a, b, c] = [of[index[i]], of[index[i + 1]], of[index[i + 2]]];
    if (a === b || b === c || c === a) continue;
    out[left++] = a;
    out[left++] = b;
    out[left++] = c;
  }
  return out.slice(0, left);
}
