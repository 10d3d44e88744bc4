import type { Vec3 } from '../../space/vector';
import { moved, type Mesh } from '../mesh';
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
 * A detail that keeps more than the first share of the triangles of the one before is not worth having; one that keeps less than the
 * second leaves sizes between at which more than needed is drawn.
 */
const WORTH = 0.7;
const LEAST = 0.3;
/** Of those that are, the coarsest that is off by no more than so many times as much as the finest of them. */
const AS_GOOD = 2;
/** In units of the size: what is off by less is as good as what is off by this. */
const SLIGHT = 0.005;
/** Triangles left from step to step while such are looked for. */
const STEP = 0.84;
/** The most details of a mesh, itself included. */
export const MOST_DETAILS = 5;

/** A mesh with fewer and fewer triangles. */
function simplified(mesh: Mesh): Uint32Array[] {
  const simplifier = new Simplifier(mesh);
  const out: Uint32Array[] = [];
  for (let left = mesh.index.length; ; left = out[out.length - 1].length) {
    const index = simplifier.downTo(Math.max(FEW, Math.floor((left / 3) * STEP)));
    if (index.length === left || index.length === 0) return out;
    out.push(index);
  }
}

/** The last of some choices of triangles, each coarser than the one before, that is as good as the first. */
function asGood(mesh: Mesh, choices: readonly Uint32Array[]): { index: Uint32Array; error: number } {
  let [first, last] = [0, choices.length - 1];
  let best = { index: choices[0], error: deviation(mesh, choices[0]) };
  const good = Math.max(best.error, SLIGHT) * AS_GOOD;
  for (let middle = last; first < last; middle = Math.ceil((first + last) / 2)) {
    const error = deviation(mesh, choices[middle]);
    if (error > good) last = middle - 1;
    else [first, best] = [middle, { index: choices[middle], error }];
  }
  return best;
}

/** All of a mesh, as a detail. */
export const wholeOf = (mesh: Mesh): Detail => ({
  index: mesh.index,
  error: 0,
  longest: longestEdge(mesh, mesh.index),
});

const known = new WeakMap<Mesh, readonly Detail[]>();

/** Says what the details of a mesh are, where they are known already. */
export const giveDetails = (mesh: Mesh, details: readonly Detail[]): Mesh => {
  known.set(mesh, details);
  return mesh;
};

/** A mesh at up to five details, the first all of it, each coarser than the one before. Worked out once a mesh. */
export function detailsOf(mesh: Mesh): readonly Detail[] {
  const made = known.get(mesh);
  if (made) return made;
  const details: Detail[] = [wholeOf(mesh)];
  if (mesh.position.length / 3 <= MOST_VERTICES && mesh.index.length / 3 > FEW) {
    const found = simplified(mesh);
    while (details.length < MOST_DETAILS) {
      const before = details[details.length - 1];
      const worth = found.filter(({ length }) => length <= before.index.length * WORTH);
      if (worth.length === 0) break;
      const { index, error } = asGood(
        mesh,
        worth.filter(({ length }, i) => i === 0 || length >= before.index.length * LEAST),
      );
      details.push({ index, error: Math.max(before.error, error), longest: longestEdge(mesh, index) });
    }
  }
  known.set(mesh, details);
  return details;
}

/** A mesh made larger or smaller evenly, then moved; its details are those it had. */
export function setAt(mesh: Mesh, by: number, [x, y, z]: Vec3): Mesh {
  const position = mesh.position.map((v, i) => v * by + (i % 3 === 0 ? x : i % 3 === 1 ? y : z));
  const out = moved(mesh, position, mesh.normal);
  const details = known.get(mesh);
  return details
    ? giveDetails(
        out,
        details.map((detail) => ({ ...detail, error: detail.error * by, longest: detail.longest * by })),
      )
    : out;
}
