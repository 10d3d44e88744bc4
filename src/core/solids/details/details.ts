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
/** Each detail has this share of the triangles of the one before; one that keeps more than that is not worth having. */
const SHARE = 0.4;
const WORTH = 0.7;
/** The most details of a mesh, itself included. */
export const MOST_DETAILS = 5;

const known = new WeakMap<Mesh, readonly Detail[]>();

/** A mesh at up to five details, the first all of it, each coarser than the one before. Worked out once a mesh. */
export function detailsOf(mesh: Mesh): readonly Detail[] {
  const made = known.get(mesh);
  if (made) return made;
  const details: Detail[] = [{ index: mesh.index, error: 0, longest: longestEdge(mesh, mesh.index) }];
  if (mesh.position.length / 3 <= MOST_VERTICES && mesh.index.length / 3 > FEW) {
    const simplifier = new Simplifier(mesh);
    while (details.length < MOST_DETAILS) {
      const before = details[details.length - 1];
      const index = simplifier.downTo(Math.max(FEW, Math.floor((before.index.length / 3) * SHARE)));
      if (index.length > before.index.length * WORTH || index.length === 0) break;
      details.push({
        index,
        error: Math.max(before.error, deviation(mesh, index)),
        longest: longestEdge(mesh, index),
      });
    }
  }
  known.set(mesh, details);
  return details;
}
