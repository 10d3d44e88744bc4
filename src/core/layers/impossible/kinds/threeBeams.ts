import type { Vec3 } from '../../../space/vector';
import { ofBeams } from './beams';
import type { FigureKind } from './made';

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
    return ofBeams(places, half, reads, 0.3 * w);
  },
};
