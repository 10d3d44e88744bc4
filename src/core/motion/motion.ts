import { Held } from '../kept';
import type { Vec3 } from '../space/vector';

/** A joint of a figure. */
export interface Joint {
  name: string;
  /** number of the joint it hangs on, which comes before it; -1 for one that hangs on none */
  parent: number;
  /** from that joint, as the figure stands at rest, in the file's own units; x right, y up */
  offset: Vec3;
  /** it only says where the bone of its parent ends */
  end: boolean;
}

/** How a figure moves: its joints, and on each frame where they are and how they are turned in the space of the joint they hang on. */
export interface Motion {
  joints: readonly Joint[];
  frames: number;
  /** seconds a frame lasts */
  step: number;
  /** x, y, z, w for each joint of each frame */
  turns: Float32Array;
  /** x, y, z for each joint of each frame, its rest offset where it stays there */
  places: Float32Array;
}

/** What motions that a piece names have become. */
export const MOTIONS = new Held<Motion>();

/** The most joints, frames, and numbers of a motion. */
export const MOST_JOINTS = 400;
export const MOST_FRAMES = 60_000;
export const MOST_NUMBERS = 24_000_000;

/** The joints that hang on one. */
export const heldBy = ({ joints }: Pick<Motion, 'joints'>, joint: number): number[] =>
  joints.flatMap(({ parent }, i) => (parent === joint ? [i] : []));
