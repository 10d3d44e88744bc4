import { cross, dot, normalize, scale, type Vec3 } from '../../../space/vector';
import { boxAt, cornersOf, type Block, type Cut } from '../blocks';
import type { FigureKind } from './made';
import { meeting } from './meeting';

/** How deep it is for its width: a cube's nearest corner would be seen where its farthest is. */
const DEEP = 0.62;
const READS: Vec3 = [1, 1, 1];

/** A beam with a gap where another, that is behind it, is to be seen before it. */
function parted(beam: Block, other: Block, axis: Vec3): [Block, Block] {
  const across = normalize(cross(READS, axis));
  const seen = cornersOf(other).map((corner) => dot(across, corner));
  const [least, most] = [Math.min(...seen), Math.max(...seen)];
  const before: Cut = { normal: across, at: least };
  const after: Cut = { normal: scale(across, -1), at: -most };
  return [
    { ...beam, cuts: [before] },
    { ...beam, cuts: [after] },
  ];
}

/** The frame of a crate, in which an upright at the back passes before the front, and a beam of the floor before the nearest upright. */
export const crate: FigureKind = {
  label: 'Open crate',
  make({ width: w, height: h, thickness }) {
    const d = w * DEEP;
    const half = Math.min(thickness, d / 4, h / 4) / 2;
    const beams: Block[] = [];
    const along = (middle: Vec3, k: number, length: number): Block => {
      const size: Vec3 = [half, half, half];
      size[k] = length / 2;
      return boxAt(middle, size);
    };
    for (const y of [0, h]) for (const z of [0, d]) beams.push(along([w / 2, y, z], 0, w + 2 * half));
    for (const y of [0, h]) for (const x of [0, w]) beams.push(along([x, y, d / 2], 2, d - 2 * half));
    for (const x of [0, w]) for (const z of [0, d]) beams.push(along([x, h / 2, z], 1, h - 2 * half));
    const [back, front] = [0, 3];
    const [upright, near] = [8, 11];
    const top = parted(beams[front], beams[upright], [0, 1, 0]);
    const post = parted(beams[near], beams[back], [1, 0, 0]);
    const blocks = [...beams.filter((_, i) => i !== front && i !== near), ...top, ...post];
    const behind = [beams[upright], beams[back]];
    const way: Vec3[] = [
      [0, 0, 0],
      [0, h, 0],
      [w, h, 0],
      [w, h, d],
      [0, h, d],
      [0, 0, d],
      [w, 0, d],
      [w, 0, 0],
      [0, 0, 0],
    ];
    return {
      blocks,
      reads: READS,
      way,
      bends: half,
      before: 6 * half,
      eases: 0,
      meets: [top, post].flatMap((parts, i) => touching(parts.flatMap(cornersOf), behind[i], i === 0 ? 1 : 0)),
    };
  },
};

/** Corners of the cut ends beside the beam that is seen between them: of each the place on that beam that it seems to touch. */
function touching(corners: readonly Vec3[], behind: Block, axis: 0 | 1): [Vec3, Vec3][] {
  const edges = cornersOf(behind);
  // a beam's edge along its axis, at the height at which it is seen where the corner is
  const onEdge = (edge: Vec3, corner: Vec3): Vec3 => {
    const place: Vec3 = [...edge];
    const other = axis === 1 ? 0 : 1;
    const forward = corner[other] - edge[other];
    place[axis] = corner[axis] - forward;
    return place;
  };
  return corners.flatMap((corner) =>
    meeting(
      [corner],
      edges.map((edge) => onEdge(edge, corner)),
      READS,
    ).slice(0, 1),
  );
}
