import { add, cross, dot, normalize, scale, subtract, type Vec3 } from '../../space/vector';

/** Keeps what is no farther than `at` along `normal`. */
export interface Cut {
  normal: Vec3;
  at: number;
}

/** A convex piece of a figure: a box along the axes, less what its cuts take away. Metres. */
export interface Block {
  low: Vec3;
  high: Vec3;
  cuts: readonly Cut[];
  /** 0 not there .. 1 there */
  fade: number;
  /** what its cuts leave is round about this line along an axis: its faces are smooth there */
  round?: { axis: 0 | 1 | 2; through: Vec3 };
}

/** A flat face, counter-clockwise from outside, with the normal of each corner. */
export interface Face {
  corners: Vec3[];
  normals: Vec3[];
}

/** Lengths in metres less than this are none. */
const LEAST = 1e-7;

export const block = (low: Vec3, high: Vec3, cuts: readonly Cut[] = [], fade = 1): Block => ({
  low: low.map((v, k) => Math.min(v, high[k])) as Vec3,
  high: low.map((v, k) => Math.max(v, high[k])) as Vec3,
  cuts,
  fade,
});

/** A box about a middle. @param half half sizes */
export const boxAt = (middle: Vec3, half: Vec3, cuts: readonly Cut[] = [], fade = 1): Block =>
  block(subtract(middle, half), add(middle, half), cuts, fade);

/** What of a flat face a cut leaves (Sutherland and Hodgman, Communications of the ACM 17(1), 1974). */
function clipped(corners: readonly Vec3[], { normal, at }: Cut): Vec3[] {
  const out: Vec3[] = [];
  corners.forEach((here, i) => {
    const next = corners[(i + 1) % corners.length];
    const [a, b] = [dot(normal, here) - at, dot(normal, next) - at];
    if (a <= LEAST) out.push(here);
    if ((a < -LEAST && b > LEAST) || (a > LEAST && b < -LEAST))
      out.push(add(here, scale(subtract(next, here), a / (a - b))));
  });
  return out.length > 2 ? out : [];
}

const axisOf = (k: number, length: number): Vec3 => [0, 1, 2].map((i) => (i === k ? length : 0)) as Vec3;

/** The six sides of a block's box, as cuts. */
const sidesOf = ({ low, high }: Block): Cut[] =>
  [0, 1, 2].flatMap((k) => [
    { normal: axisOf(k, -1), at: -low[k] },
    { normal: axisOf(k, 1), at: high[k] },
  ]);

const isInside = (place: Vec3, { low, high, cuts }: Block): boolean =>
  low.every((v, k) => place[k] > v + LEAST && place[k] < high[k] - LEAST) &&
  cuts.every(({ normal, at }) => dot(normal, place) < at - LEAST);

/** Numbers in order, each once. */
function inOrder(values: readonly number[]): number[] {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted.filter((v, i) => i === 0 || v - sorted[i - 1] > 1e-6);
}

/** One side of a block's box in rectangles between lines that all blocks have in common, so that neighbours share their corners. */
function rectangles(block: Block, k: number, outward: 1 | -1, lines: readonly number[][]): Vec3[][] {
  const [i, j] = outward > 0 ? [(k + 1) % 3, (k + 2) % 3] : [(k + 2) % 3, (k + 1) % 3];
  const within = (axis: number): number[] =>
    lines[axis].filter((v) => v >= block.low[axis] - LEAST && v <= block.high[axis] + LEAST);
  const [us, vs] = [within(i), within(j)];
  const corner = (u: number, v: number): Vec3 => {
    const out: Vec3 = [0, 0, 0];
    [out[i], out[j], out[k]] = [u, v, outward > 0 ? block.high[k] : block.low[k]];
    return out;
  };
  return us
    .slice(1)
    .flatMap((u, a) =>
      vs.slice(1).map((v, b) => [corner(us[a], vs[b]), corner(u, vs[b]), corner(u, v), corner(us[a], v)]),
    );
}

const middleOf = (corners: readonly Vec3[]): Vec3 =>
  [0, 1, 2].map((k) => corners.reduce((sum, corner) => sum + corner[k], 0) / corners.length) as Vec3;

/** The face that a cut leaves on a block. */
function cutFace(block: Block, cut: Cut): Vec3[] {
  const normal = normalize(cut.normal);
  const side = normalize(cross(normal, Math.abs(normal[1]) < 0.8 ? [0, 1, 0] : [1, 0, 0]));
  const other = cross(normal, side);
  const reach = Math.hypot(...subtract(block.high, block.low)) + Math.hypot(...block.high);
  const middle = scale(cut.normal, cut.at / dot(cut.normal, cut.normal));
  const corner = (a: number, b: number): Vec3 =>
    add(middle, add(scale(side, a * reach * 4), scale(other, b * reach * 4)));
  const start = [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)];
  const others = [...sidesOf(block), ...block.cuts.filter((one) => one !== cut)];
  return others.reduce<Vec3[]>(clipped, start);
}

/** The normal of a round block at a place. */
function roundAt({ axis, through }: NonNullable<Block['round']>, place: Vec3): Vec3 {
  const out = subtract(place, through);
  out[axis] = 0;
  return normalize(out);
}

/**
 * What is seen of one block among others that touch it: no faces between them. Neighbours have the same corners where they meet.
 * @param among of those, `own` is one
 */
export function facesOf(own: Block, among: readonly Block[]): Face[] {
  const lines = [0, 1, 2].map((k) => inOrder(among.flatMap(({ low, high }) => [low[k], high[k]])));
  const flat = (corners: Vec3[], normal: Vec3): Face => ({ corners, normals: corners.map(() => normal) });
  const faces: Face[] = [];
  for (const k of [0, 1, 2])
    for (const outward of [1, -1] as const)
      for (const rectangle of rectangles(own, k, outward, lines)) {
        const outside = add(middleOf(rectangle), axisOf(k, outward * 1e-5));
        if (among.some((other) => other !== own && isInside(outside, other))) continue;
        const left = own.cuts.reduce<Vec3[]>(clipped, rectangle);
        if (left.length > 2) faces.push(flat(left, axisOf(k, outward)));
      }
  const { round } = own;
  for (const cut of own.cuts) {
    const corners = cutFace(own, cut);
    if (corners.length < 3) continue;
    const face = flat(corners, normalize(cut.normal));
    faces.push(round ? { corners, normals: corners.map((place) => roundAt(round, place)) } : face);
  }
  return faces;
}

/** The corners of what a block is. */
export const cornersOf = (block: Block): Vec3[] => facesOf(block, [block]).flatMap(({ corners }) => corners);

/** Sections of a beam: half its sizes along the axes that it does not run along. */
export type Section = Vec3;

/**
 * Beams from place to place, each of which has the corner at its end. The first and the last are cut off at the places they begin and end
 * at, straight across as they are seen from `reads`, so that both cuts are one line there.
 * @param places in turn, each beside the last along one axis; the last is the first moved along `reads`
 * @param sections of each beam
 */
export function beamsAlong(places: readonly Vec3[], sections: readonly Section[], reads: Vec3): Block[] {
  return sections.map((section, i) => {
    const [from, to] = [places[i], places[i + 1]];
    const way = subtract(to, from);
    const k = way.findIndex((v) => Math.abs(v) > LEAST);
    const ahead = Math.sign(way[k]);
    const [low, high] = [subtract(from, section), add(from, section)];
    // from behind the corner it begins at, which is the one before's, to the end of its own
    const [begin, end] = [
      from[k] + ahead * (i === 0 ? -section[k] : sections[i - 1][k]),
      to[k] + ahead * (i === sections.length - 1 ? section[k] : sections[i + 1][k]),
    ];
    [low[k], high[k]] = [Math.min(begin, end), Math.max(begin, end)];
    const across = acrossLine(axisOf(k, ahead), reads);
    const cuts: Cut[] = [];
    if (i === 0) cuts.push({ normal: scale(across, -1), at: -dot(across, from) });
    if (i === sections.length - 1) cuts.push({ normal: across, at: dot(across, to) });
    return { ...block(low, high, cuts) };
  });
}

/** The way along an axis as it is seen from `reads`: at right angles to that, of length 1. */
export const acrossLine = (axis: Vec3, reads: Vec3): Vec3 =>
  normalize(subtract(axis, scale(reads, dot(axis, reads) / dot(reads, reads))));
