import type { Mesh } from '../mesh';
import { deviation, longestEdge } from './deviation';
import { Simplifier } from './simplifier';

/** A coarser choice of a mesh's own triangles' corners. */
export interface Detail {
  /** three vertices of the mesh a triangle */
  index: Uint32Array;
  /** how far the mesh is from it at most, in units of the element's size */
  error: number;
  /** its longest edge, likewise */
  longest: number;
}

/** Triangles under which nothing more is taken away, and the most vertices of a mesh that is simplified at all. */
const FEW = 12;
const MOST_VERTICES = 30_000;
/**
 * A detail that keeps more than the first share of the triangles of the one before is not worth having; with less than the second
 * there would be none between for space that is bent.
 */
const WORTH = 0.7;
const LEAST = 0.15;
/** Of those that are, the coarsest that is off by no more than so many times as much as the finest of them. */
const AS_GOOD = 2;
/** In units of the size: what is off by less is as good as what is off by this. */
const SLIGHT = 0.005;
/** Triangles left from step to step while such are looked for. */
const STEP = 0.84;
/** The most details of a mesh, itself included. */
export const MOST_DETAILS = 5;

/** A mesh with fewer and fewer triangles. No error is less than one before. */
function simplified(mesh: Mesh): Omit<Detail, 'longest'>[] {
  const simplifier = new Simplifier(mesh);
  const out: Omit<Detail, 'longest'>[] = [];
  let [left, error] = [mesh.index.length, 0];
  for (;;) {
    const index = simplifier.downTo(Math.max(FEW, Math.floor((left / 3) * STEP)));
    if (index.length === left || index.length === 0) return out;
    left = index.length;
    error = Math.max(error, deviation(mesh, index));
    out.push({ index, error });
  }
}

const known = new WeakMap<Mesh, readonly Detail[]>();

/** A mesh at up to five details, the first all of it, each coarser than the one before. Worked out once a mesh. */
export function detailsOf(mesh: Mesh): readonly Detail[] {
  const made = known.get(mesh);
  if (made) return made;
  const details: Detail[] = [{ index: mesh.index, error: 0, longest: longestEdge(mesh, mesh.index) }];
  if (mesh.position.length / 3 <= MOST_VERTICES && mesh.index.length / 3 > FEW) {
    const found = simplified(mesh);
    while (details.length < MOST_DETAILS) {
      const before = details[details.length - 1];
      const worth = found.filter(({ index }) => index.length <= before.index.length * WORTH);
      const good = Math.max(worth[0]?.error ?? 0, SLIGHT) * AS_GOOD;
      const next = worth.findLast(
        ({ index, error }, i) => i === 0 || (error <= good && index.length >= before.index.length * LEAST),
      );
      if (!next) break;
      details.push({ ...next, longest: longestEdge(mesh, next.index) });
    }
  }
  known.set(mesh, details);
  return details;
}
