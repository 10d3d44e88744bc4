import type { Vec3 } from '../../../space/vector';
import { beamsAlong, cornersOf } from '../blocks';
import type { FigureKind } from './made';
import { meeting } from './meeting';

/**
 * Three beams at right angles, of which the last ends, as it is seen, where the first began (Penrose and Penrose, "Impossible objects:
 * a special type of visual illusion", British Journal of Psychology 49, 1958). The first is cut in its middle, and one half of it stands before the rest.
 */
export const threeBeams: FigureKind = {
  label: 'Three beams',
  make({ width: w, height: h, thickness }) {
    const half = Math.min(thickness, w / 3, h / 3) / 2;
    const reads: Vec3 = [w, h, w];
    const places: Vec3[] = [
      [w / 2, 0, 0],
      [w, 0, 0],
      [w, h, 0],
      [w, h, w],
      [1.5 * w, h, w],
    ];
    const square: Vec3 = [half, half, half];
    const blocks = beamsAlong(places, [square, square, square, square], reads);
    return {
      blocks,
      reads,
      way: places,
      bends: half,
      before: 4 * half,
      eases: 0.3 * w,
      meets: meeting(cornersOf(blocks[0]), cornersOf(blocks[3]), reads),
    };
  },
};
