import { finishMesh, type Mesh } from '../solids/mesh';
import type { Vec3 } from '../space/vector';
import { add, cross, scale, unit, type Grower, type Line } from './grower';

/** The recipe of a tree. Lengths in lengths of its trunk, until it is as high as it should be. */
export interface Tree {
  /** how thick the trunk is at its foot */
  thick: number;
  /** times it branches: 1 branches of the trunk, 2 branches of those too */
  levels: number;
  /** how many grow from the trunk, and from every other branch */
  boughs: number;
  branches: number;
  /** the share of the trunk, and of a branch, beneath which it has none */
  bare: number;
  /** radians by which a branch leans away from what it grows from */
  lean: number;
  /** how long a branch is, in lengths of what it grows from, and by how much less at the top of the trunk, 0..1 */
  length: number;
  crown: number;
  /** how much branches give way to their weight, below 0 rise against it, and how crooked they are */
  weight: number;
  crooked: number;
  /** leaves of a last branch, their length, and how wide they are for that */
  leaves: number;
  leaf: number;
  wide: number;
}

/** Turns from a leaf to the next of a stem: the golden angle, by which none stands over another (Vogel 1979; from memory). */
const GOLDEN = (3 - Math.sqrt(5)) / 2;

/** A direction that leans away from another by an angle, to the side of a turn about it. */
function leaning(way: Vec3, turn: number, lean: number): Vec3 {
  const side = unit(cross(way, Math.abs(way[1]) < 0.9 ? [0, 1, 0] : [1, 0, 0]));
  const up = cross(side, way);
  const [c, s] = [Math.cos(2 * Math.PI * turn), Math.sin(2 * Math.PI * turn)];
  return unit(add(scale(way, Math.cos(lean)), add(scale(side, c), up, s), Math.sin(lean)));
}

/** A place along a line, by the share of the way. */
function along(line: Line, share: number): { at: Vec3; way: Vec3 } {
  const x = share * (line.length - 1);
  const i = Math.min(line.length - 2, Math.floor(x));
  return { at: add(scale(line[i].at, 1 - (x - i)), line[i + 1].at, x - i), way: line[i].way };
}

/**
 * How thick something is at a share of its way, where as many branches as it has take an even part each of its cross-section, and its
 * end another: cross-sections above a fork sum to the one below it (Leonardo, notebooks, §394 in Richter's edition; from memory).
 * @param forks shares of the way at which they leave it, in order
 */
export const thickAt = (thick: number, forks: readonly number[], share: number): number =>
  thick * Math.sqrt(1 - forks.filter((fork) => fork <= share).length / (forks.length + 1));

/** Grows a tree, one unit high, its foot at the origin: trunk, branches on branches, leaves on the last of them. */
export function growTree(g: Grower, tree: Tree): Mesh {
  const { chance } = g;
  const limb = (from: Vec3, towards: Vec3, length: number, thick: number, level: number): void => {
    const steps = level === 0 ? 8 : 4;
    const line: Line = [];
    let at = from;
    let way = towards;
    for (let i = 0; i <= steps; i++) {
      line.push({ at, way });
      at = add(at, way, length / steps);
      const bent = leaning(way, chance.unit(), tree.crooked * chance.unit() * (level === 0 ? 0.4 : 1));
      way = level === 0 ? bent : unit(add(bent, [0, -1, 0], (tree.weight * (i + 1)) / (steps * steps)));
    }
    const last = level === tree.levels;
    const many = last ? 0 : level === 0 ? tree.boughs : tree.branches;
    const forks = Array.from({ length: many }, (_, k) => tree.bare + (1 - tree.bare) * ((k + 0.5) / many));
    const tip = last ? 0.35 : 1;
    g.limb(line, (share) => thickAt(thick, forks, share) * (1 + (tip - 1) * share), Math.max(3, 7 - 2 * level));
    const first = chance.unit();
    forks.forEach((fork, k) => {
      const foot = along(line, fork);
      const out = leaning(foot.way, first + k * GOLDEN, chance.about(tree.lean, 0.25));
      const less = level === 0 ? 1 - tree.crown * ((fork - tree.bare) / (1 - tree.bare)) : 1 - 0.4 * fork;
      limb(foot.at, out, chance.about(length * tree.length * less, 0.2), thick / Math.sqrt(many + 1), level + 1);
    });
    if (!last) return;
    for (let k = 0; k < tree.leaves; k++) {
      const foot = along(line, 0.15 + 0.85 * ((k + 0.5) / tree.leaves));
      const out = leaning(foot.way, first + k * GOLDEN, 0.9);
      const size = chance.about(tree.leaf, 0.3);
      const leaf = [0, 0.5, 1].map((t) => ({ at: add(foot.at, out, t * size), way: out }));
      g.blade(leaf, size * tree.wide, unit(cross(out, leaning(out, chance.unit(), 1))), 0);
    }
  };
  limb([0, 0, 0], [0, 1, 0], 1, tree.thick, 0);
  const { position, normal, index, open } = g.builder.build(true);
  let high = 0;
  for (let i = 1; i < position.length; i += 3) high = Math.max(high, position[i]);
  return finishMesh(
    position.map((v) => v / high),
    normal,
    index,
    open,
  );
}
