import type { Vec3 } from '../../../space/vector';
import { ofBeams } from './beams';
import type { FigureKind } from './made';

/** How far the eye is above the level, as a rise over a run along either axis. */
const RISE = 0.32;

/** Four beams around a square, that go to the right, up, to the left, and down: to the left and to the right both towards the reader. */
export const square: FigureKind = {
  label: 'Four beams',
  make({ width, height, thickness }) {
    // level beams are seen slantwise
    const w = width * Math.SQRT2;
    const lost = RISE * w;
    const h = height + lost / 2;
    const half = Math.min(thickness, width / 3, height / 3) / 2;
    const reads: Vec3 = [w, lost, w];
    const middle = (h - lost) / 2;
    const places: Vec3[] = [
      [0, middle, 0],
      [0, 0, 0],
      [w, 0, 0],
      [w, h, 0],
      [w, h, w],
      [w, middle + lost, w],
    ];
    return ofBeams(places, half, reads, 0.8 * middle);
  },
};
