import {
  add,
  fromAxis,
  fromTurn,
  inverse,
  multiply,
  rotate,
  scale,
  subtract,
  toTurn,
  type Quaternion,
  type Vec3,
} from '../space/vector';
import type { Stretch } from './differences';
import type { Motion } from './motion';
import { fillPose, newPose, placeIn, turnIn } from './pose';

/** What becomes of the way a figure goes in a stretch: it stays where it is but for its sway, or is held by its root. */
export type Travel = 'sway' | 'held';

/** A stretch that closes: its joints at so many moments of one time through it, in the figure's own space, its lowest joint on the ground. */
export interface Cycle {
  samples: number;
  /** x, y, z and x, y, z, w for each joint of each sample, in the file's own units */
  places: Float32Array;
  turns: Float32Array;
  /** seconds that it lasts as it was taken */
  seconds: number;
  /** how far it goes each time, which is taken out of the places: to the right and ahead (-z), in the file's own units */
  gain: Vec3;
  /** degrees that it turns to the right each time, which is taken out as well */
  turn: number;
}

/** The cubic over 0..1 that is nothing at its start and has a value and a slope at its end (Hermite). */
const towards = (u: number, value: Vec3, slope: Vec3): Vec3 =>
  add(scale(value, u * u * (3 - 2 * u)), scale(slope, u * u * (u - 1)));

/** From here on, of a figure's way as a share of what its joints span, it counts as going somewhere. */
const GOES = 0.15;

const UP: Vec3 = [0, 1, 0];

/**
 * Makes a stretch of a motion close. What its ends differ by in turn, place and speed, joint by joint, is spread over `blend` frames on both sides of
 * the seam, half of it on each, by cubics, so poses and speeds meet. Its way over the ground and its turn about the upright are taken out evenly.
 * A figure that goes somewhere is turned so that it goes ahead.
 * @param stretch frames of the motion; of one frame it stands still
 */
export function cycleOf(motion: Motion, stretch: Stretch, blend: number, travel: Travel): Cycle {
  const { joints } = motion;
  const last = motion.frames - 1;
  const from = Math.min(last, Math.max(0, stretch.from));
  const to = Math.min(last, Math.max(from, stretch.to));
  const count = Math.max(1, to - from);
  const reach = Math.min(Math.max(0, blend), Math.floor(count / 2));

  const turnAt = (j: number, frame: number): Quaternion => turnIn(motion.turns, frame * joints.length + j);
  const placeAt = (j: number, frame: number): Vec3 => placeIn(motion.places, frame * joints.length + j);
  const straight = straightened(motion, from, to);
  const turnOf = (j: number, frame: number): Quaternion =>
    joints[j].parent < 0 ? multiply(straight.turned(frame), turnAt(j, frame)) : turnAt(j, frame);
  const placeOf = (j: number, frame: number): Vec3 =>
    joints[j].parent < 0 ? straight.place(placeAt(j, frame), frame) : placeAt(j, frame);

  /** What joins the ends of something: what is to be added at so many frames after the first. Where a file ends its last step goes on. */
  const joins = <T>(of: (frame: number) => T, apart: (a: T, b: T) => Vec3): ((i: number) => Vec3) => {
    const step = (before: number, after: number): Vec3 =>
      scale(apart(of(after), of(before)), 1 / Math.max(1, after - before));
    const leaves = step(Math.max(0, from - 1), Math.min(to, from + 1));
    const arrives = step(Math.max(from, to - 1), Math.min(last, to + 1));
    const value = scale(apart(of(from), of(to)), 0.5);
    const slope = scale(subtract(leaves, arrives), reach / 2);
    return (i) => {
      if (reach === 0 || count < 2) return [0, 0, 0];
      if (i > count - reach) return towards((i - count + reach) / reach, value, slope);
      // the same turned over in time: the value the other way, the slope the same
      return i < reach ? towards(1 - i / reach, scale(value, -1), slope) : [0, 0, 0];
    };
  };
  const turnJoins = joints.map((_, j) =>
    joins(
      (frame) => turnOf(j, frame),
      (a, b) => toTurn(multiply(a, inverse(b))),
    ),
  );
  const placeJoins = joints.map((_, j) => joins((frame) => placeOf(j, frame), subtract));

  const places = new Float32Array(count * joints.length * 3);
  const turns = new Float32Array(count * joints.length * 4);
  const pose = newPose(joints.length);
  const own = { turns: new Float64Array(joints.length * 4), places: new Float64Array(joints.length * 3) };
  const middle: Vec3 = [0, 0, 0];
  for (let i = 0; i < count; i++) {
    joints.forEach((joint, j) => {
      const turn = multiply(fromTurn(turnJoins[j](i)), turnOf(j, from + i));
      const norm = 1 / Math.hypot(...turn);
      own.turns.set(
        turn.map((v) => v * norm),
        j * 4,
      );
      const place = add(placeOf(j, from + i), placeJoins[j](i));
      own.places.set(joint.parent < 0 && travel === 'held' ? [0, place[1], 0] : place, j * 3);
    });
    fillPose(pose, joints, own.turns, own.places);
    places.set(pose.places, i * joints.length * 3);
    turns.set(pose.turns, i * joints.length * 4);
    middle[0] += pose.places[0] / count;
    middle[2] += pose.places[2] / count;
  }
  let lowest = Infinity;
  for (let i = 1; i < places.length; i += 3) lowest = Math.min(lowest, places[i]);
  for (let i = 0; i < places.length; i += 3) {
    places[i] -= middle[0];
    places[i + 1] -= lowest;
    places[i + 2] -= middle[2];
  }
  return {
    samples: count,
    places,
    turns,
    seconds: count * motion.step,
    gain: straight.gain,
    turn: straight.turn,
  };
}

/** A figure's way without its turn about the upright and without where it gets, and turned so that it goes ahead. */
function straightened({ joints, turns, places }: Motion, from: number, to: number) {
  const count = Math.max(1, to - from);
  const root = (frame: number): Vec3 => placeIn(places, frame * joints.length);
  const rootTurn = (frame: number): Quaternion => turnIn(turns, frame * joints.length);
  const [, y, , w] = multiply(rootTurn(to), inverse(rootTurn(from)));
  const wound = 2 * Math.atan2(y, w);
  // the shorter way around
  const turn = wound - 2 * Math.PI * Math.round(wound / (2 * Math.PI));
  const unwound = (i: number): Quaternion => fromAxis(UP, (-turn * i) / count);
  const way: Vec3[] = [root(from)];
  for (let i = 0; i < count && from + i < to; i++)
    way.push(add(way[i], rotate(unwound(i + 0.5), subtract(root(from + i + 1), root(from + i)))));
  const gone = subtract(way[way.length - 1], way[0]);
  const ground = Math.hypot(gone[0], gone[2]);
  const spans = joints.reduce((most, { offset }) => Math.max(most, Math.hypot(...offset)), 1e-9);
  const facing: Quaternion = ground > GOES * spans ? fromAxis(UP, Math.atan2(gone[0], -gone[2])) : [0, 0, 0, 1];
  const offRoot = (frame: number): Vec3 => {
    const i = Math.min(count, Math.max(0, frame - from));
    // beyond the stretch the way goes on as it was
    const beyond = subtract(root(frame), root(Math.min(to, Math.max(from, frame))));
    const at = add(way[Math.min(way.length - 1, i)], rotate(unwound(i), beyond));
    const share = (frame - from) / count;
    return [at[0] - gone[0] * share, at[1], at[2] - gone[2] * share];
  };
  const turned = (frame: number): Quaternion => multiply(facing, unwound(frame - from));
  return {
    gain: rotate(facing, [gone[0], 0, gone[2]]),
    turn: (-turn * 180) / Math.PI,
    turned,
    /** where a joint that hangs on none is, in place of where it was */
    place: (at: Vec3, frame: number): Vec3 =>
      add(rotate(facing, offRoot(frame)), rotate(turned(frame), subtract(at, root(frame)))),
  };
}
