import type { Mesh } from '../mesh';

/** Places this near are one, in units of the element's size. */
const NEAR = 1e5;

/** For each vertex of some triangles the first of those at its place. Where a body breaks apart, what belongs to different pieces stays apart. */
export function weldOf(mesh: Mesh, index: Uint32Array): ReadonlyMap<number, number> {
  const first = new Map<string, number>();
  const of = new Map<number, number>();
  for (const vertex of index) {
    if (of.has(vertex)) continue;
    const at = [0, 1, 2].map((k) => Math.round(mesh.position[vertex * 3 + k] * NEAR));
    const key = `${at.join()} ${mesh.piece ? mesh.piece[vertex * 4 + 3] : 0}`;
    const known = first.get(key) ?? vertex;
    first.set(key, known);
    of.set(vertex, known);
  }
  return of;
}

/**
 * The triangles of some choice of a mesh's corners with one vertex for each place: for what only asks where things are, not which way
 * they face.
 * @param index three vertices of the mesh a triangle
 * @returns the same triangles, without those that are none
 */
export function welded(mesh: Mesh, index: Uint32Array): Uint32Array {
  const of = weldOf(mesh, index);
  const out: number[] = [];
  for (let i = 0; i < index.length; i += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => of.get(index[i + k]) ?? 0);
    if (a !== b && b !== c && c !== a) out.push(a, b, c);
  }
  return Uint32Array.from(out);
}
