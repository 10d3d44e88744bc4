import { heightOf, fillPose, newPose } from './pose';
import type { Motion } from './motion';

/** A stretch of a motion that is gone through over and over: the pose of its last frame gives way to that of its first. */
export interface Stretch {
  from: number;
  to: number;
}

/** How unlike frames of a motion are, every `step` of them with every other, as shares of the figure's height. */
export interface Differences {
  side: number;
  step: number;
  /** a row for each frame, a number for each other */
  values: Float32Array;
}

/** Seconds before and after a frame at which joints count too, so that speeds are compared and not poses alone. */
const AROUND = 0.06;
/** The most frames that are compared with each other. */
const MOST_COMPARED = 180;
/** Seconds a stretch lasts at least. */
const SHORTEST = 0.4;
/** Of the height: a figure that gets no farther than this stands still, which would close best of all. */
const STILL = 0.02;
/** Of the height: ends that differ by less than this are as good as the same, and then the shorter stretch is better. */
const ALIKE = 0.005;
/** By how much worse a stretch counts for each second. */
const LONGER = 0.15;

/** Joints around each of some frames, about their middle on the ground: x, y, z. And how large each cloud is. */
class Clouds {
  private readonly size: number;
  private readonly points: Float32Array;
  private readonly weights: Float64Array;

  constructor(motion: Motion, frames: readonly number[]) {
    const { joints } = motion;
    const beside = Math.max(1, Math.round(AROUND / motion.step));
    const pose = newPose(joints.length);
    const moments = [-beside, 0, beside];
    this.size = joints.length * moments.length;
    this.points = new Float32Array(frames.length * this.size * 3);
    this.weights = new Float64Array(frames.length);
    frames.forEach((frame, i) => {
      const own = this.points.subarray(i * this.size * 3, (i + 1) * this.size * 3);
      moments.forEach((off, m) => {
        const at = Math.min(motion.frames - 1, Math.max(0, frame + off));
        fillPose(pose, joints, motion.turns, motion.places, at);
        own.set(pose.places, m * joints.length * 3);
      });
      for (const k of [0, 2]) {
        let sum = 0;
        for (let p = k; p < own.length; p += 3) sum += own[p];
        for (let p = k; p < own.length; p += 3) own[p] -= sum / this.size;
      }
      for (const v of own) this.weights[i] += v * v;
    });
  }

  /**
   * How far the joints of two frames are apart, root of the mean of squares, when one cloud is turned about the upright and moved over the
   * ground to lie on the other as well as it can: L. Kovar, M. Gleicher and F. Pighin, "Motion graphs", SIGGRAPH 2002, §3.
   */
  apart(a: number, b: number): number {
    const { points, size, weights } = this;
    const [first, second] = [a * size * 3, b * size * 3];
    let [upright, along, across] = [0, 0, 0];
    for (let i = 0; i < size * 3; i += 3) {
      const [ax, ay, az] = [points[first + i], points[first + i + 1], points[first + i + 2]];
      const [bx, by, bz] = [points[second + i], points[second + i + 1], points[second + i + 2]];
      upright += ay * by;
      along += ax * bx + az * bz;
      across += ax * bz - az * bx;
    }
    const squares = weights[a] + weights[b] - 2 * upright - 2 * Math.hypot(along, across);
    return Math.sqrt(Math.max(0, squares) / size);
  }
}

/** How unlike the frames of a motion are. */
export function differencesOf(motion: Motion): Differences {
  const step = Math.max(1, Math.ceil(motion.frames / MOST_COMPARED));
  const side = Math.ceil(motion.frames / step);
  const clouds = new Clouds(
    motion,
    Array.from({ length: side }, (_, i) => i * step),
  );
  const height = heightOf(motion);
  const values = new Float32Array(side * side);
  for (let a = 0; a < side; a++)
    for (let b = a + 1; b < side; b++) values[a * side + b] = values[b * side + a] = clouds.apart(a, b) / height;
  return { side, step, values };
}

/** The most that a frame differs from those up to each other. */
function farthest({ side, values }: Differences, a: number): Float32Array {
  const out = new Float32Array(side);
  for (let b = a + 1; b < side; b++) out[b] = Math.max(out[b - 1], values[a * side + b]);
  return out;
}

/**
 * The stretch that closes best: its ends are alike in pose and speed, by how far it gets away from them in between.
 * @param differences of the same motion
 */
export function bestStretch(motion: Motion, differences = differencesOf(motion)): Stretch {
  const { side, step, values } = differences;
  const last = motion.frames - 1;
  const shortest = Math.max(2, Math.round(SHORTEST / motion.step));
  if (last <= shortest) return { from: 0, to: last };
  let best = { from: 0, to: last, score: Infinity };
  for (let a = 0; a < side; a++) {
    const far = farthest(differences, a);
    for (let b = a + Math.ceil(shortest / step); b < side; b++) {
      const score = ((values[a * side + b] + ALIKE) / (STILL + far[b])) * (1 + LONGER * (b - a) * step * motion.step);
      if (score < best.score) best = { from: a * step, to: b * step, score };
    }
  }
  return nearStretch(motion, best, Math.max(1, step));
}

/** The stretch near another, its ends moved by up to so many frames, whose ends are most alike. */
export function nearStretch(motion: Motion, { from, to }: Stretch, reach: number): Stretch {
  const last = motion.frames - 1;
  const around = (at: number): number[] =>
    Array.from({ length: reach * 2 + 1 }, (_, i) => at - reach + i).filter((f) => f >= 0 && f <= last);
  const [starts, ends] = [around(from), around(to)];
  const clouds = new Clouds(motion, [...starts, ...ends]);
  let best = { from, to, apart: Infinity };
  starts.forEach((start, i) =>
    ends.forEach((end, j) => {
      if (end - start < 2) return;
      const apart = clouds.apart(i, starts.length + j);
      if (apart < best.apart) best = { from: start, to: end, apart };
    }),
  );
  return { from: best.from, to: best.to };
}

/** How unlike two frames are, as a share of the figure's height. */
export const differenceOf = (motion: Motion, a: number, b: number): number =>
  new Clouds(motion, [a, b]).apart(0, 1) / heightOf(motion);
