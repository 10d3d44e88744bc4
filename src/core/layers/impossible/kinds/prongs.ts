import type { Vec3 } from '../../../space/vector';
import { block, cornersOf, type Block, type Cut } from '../blocks';
import type { FigureKind } from './made';

/** Sides of a prong, and slices in which one thing becomes another. */
const SIDES = 32;
const SLICES = 28;

/** Where along it the change begins and ends, as shares of its length. */
const FROM = 0.3;
const TO = 0.74;

const READS: Vec3 = [1, 1, 1];
/** Up, as beams along x are seen. */
const UP: Vec3 = [0, Math.SQRT1_2, -Math.SQRT1_2];
const DOWN: Vec3 = [0, -Math.SQRT1_2, Math.SQRT1_2];

/**
 * Two bars with two faces each, or three round prongs: six lines, all as far apart, that are edges at one end and outlines at the other
 * (Schuster, "A new ambiguous figure: a three-stick clevis", American Journal of Psychology 77, 1964). Between both, faces turn into nothing, and
 * nothing into a prong.
 */
export const prongs: FigureKind = {
  label: 'Two or three prongs',
  make({ width: w, height: h }) {
    const gap = h / 5;
    const t = gap * Math.SQRT2;
    const [from, to] = [w * FROM, w * TO];
    // the half of a bar that is seen as its top, or as its front: they part along the line of sight
    const barAt = (x0: number, x1: number, up: number, side: 'top' | 'front', fade: number): Block => {
      const edge = (up * t - t / 2) / Math.SQRT2;
      const cut: Cut = side === 'top' ? { normal: DOWN, at: -edge } : { normal: UP, at: edge };
      return block([x0, (up - 1) * t, -t / 2], [x1, up * t, t / 2], [cut], fade);
    };
    // what is nearer is seen farther back along x: it stands as much farther ahead
    const ahead = (up: number, deep: number): number => ((deep - up) * gap) / Math.SQRT2;
    const on = (x: number, up: number, deep: number): Vec3 => [
      x + ahead(up, deep),
      ((up + deep) * gap) / Math.SQRT2,
      ((deep - up) * gap) / Math.SQRT2,
    ];
    const prongAt = (from: number, to: number, up: number, deep: number, fade: number): Block => {
      const middle = on(0, up, deep);
      const [x0, x1] = [from + middle[0], to + middle[0]];
      const r = gap / 2;
      const cuts = Array.from({ length: SIDES }, (_, k): Cut => {
        const angle = (2 * Math.PI * (k + 0.5)) / SIDES;
        const normal: Vec3 = [0, Math.sin(angle), Math.cos(angle)];
        return { normal, at: normal[1] * middle[1] + normal[2] * middle[2] + r * Math.cos(Math.PI / SIDES) };
      });
      return {
        ...block([x0, middle[1] - r, middle[2] - r], [x1, middle[1] + r, middle[2] + r], cuts, fade),
        round: { axis: 0, through: middle },
      };
    };
    const slices = (make: (x0: number, x1: number, share: number) => Block): Block[] =>
      Array.from({ length: SLICES }, (_, i) => {
        const [x0, x1] = [i, i + 1].map((k) => from + ((to - from) * k) / SLICES);
        const share = (i + 0.5) / SLICES;
        return make(x0, x1, share * share * (3 - 2 * share));
      });
    const prongsAt = [
      [2, 3.6],
      [0, 3],
      [-2, 0.6],
    ] as const;
    const blocks = [
      block([-t, -2 * t, -t / 2], [0, 2 * t, t / 2]),
      // the top of one bar and the front of the other stay, until there is a prong before them
      barAt(0, to, 2, 'top', 1),
      barAt(0, to, -1, 'front', 1),
      barAt(0, from, 2, 'front', 1),
      barAt(0, from, -1, 'top', 1),
      ...slices((x0, x1, share) => barAt(x0, x1, 2, 'front', 1 - share)),
      ...slices((x0, x1, share) => barAt(x0, x1, -1, 'top', 1 - share)),
      ...prongsAt.map(([up, deep]) => prongAt(to, w, up, deep, 1)),
      ...prongsAt.flatMap(([up, deep]) => slices((x0, x1, share) => prongAt(x0, x1, up, deep, share))),
    ];
    // what is an edge of a bar is the outline of a prong: where its end is, moved along the line of sight
    const outlines = prongsAt.flatMap(([up, deep]) => [0.5, -0.5].map((side) => on(0, up + side, deep)));
    const edgeOf = (one: Block, at: number): Vec3[] =>
      cornersOf(one).filter((corner) => Math.abs(corner[0] - at) < 1e-9);
    const ends = [
      ...edgeOf(blocks[1], to),
      ...edgeOf(blocks[2], to),
      ...edgeOf(blocks[3], from),
      ...edgeOf(blocks[4], from),
    ];
    const meets = ends.flatMap((a) =>
      outlines
        .filter((b) => Math.abs(b[1] - a[1] - (b[2] - a[2])) < 1e-9)
        .map((b): [Vec3, Vec3] => [a, [a[0] + b[1] - a[1], b[1], b[2]]]),
    );
    const way = [on(-t / 2, 2, 4.5), on(w, 2, 4.5), on(w, 0, 4.5), on(-t / 2, 0, 4.5), on(-t / 2, 2, 4.5)];
    return { blocks, reads: READS, way, bends: gap / 2, before: 0, eases: 0, meets };
  },
};
