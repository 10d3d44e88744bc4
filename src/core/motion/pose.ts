import type { Quaternion, Vec3 } from '../space/vector';
import type { Joint, Motion } from './motion';

/** Where the joints of a figure are, and how they are turned: x, y, z and x, y, z, w a joint. */
export interface Pose {
  places: Float64Array;
  turns: Float64Array;
}

/** The n-th place, or turn, of a list of them. */
export const placeIn = (places: ArrayLike<number>, n: number): Vec3 => [
  places[n * 3],
  places[n * 3 + 1],
  places[n * 3 + 2],
];
export const turnIn = (turns: ArrayLike<number>, n: number): Quaternion => [
  turns[n * 4],
  turns[n * 4 + 1],
  turns[n * 4 + 2],
  turns[n * 4 + 3],
];

export const newPose = (joints: number): Pose => ({
  places: new Float64Array(joints * 3),
  turns: new Float64Array(joints * 4),
});

/**
 * Goes from each joint's own turn and place in the space of its parent to those in the figure's: turns are multiplied from the root outwards.
 * @param turns, places of all joints, read from `frame` on
 */
export function fillPose(
  out: Pose,
  joints: readonly Joint[],
  turns: ArrayLike<number>,
  places: ArrayLike<number>,
  frame = 0,
): void {
  const { places: at, turns: turned } = out;
  for (let j = 0; j < joints.length; j++) {
    const { parent } = joints[j];
    const [x, y, z, w] = turnIn(turns, frame * joints.length + j);
    const [px, py, pz] = placeIn(places, frame * joints.length + j);
    if (parent < 0) {
      turned.set([x, y, z, w], j * 4);
      at.set([px, py, pz], j * 3);
      continue;
    }
    const [ax, ay, az, aw] = turned.subarray(parent * 4, parent * 4 + 4);
    turned[j * 4] = aw * x + ax * w + ay * z - az * y;
    turned[j * 4 + 1] = aw * y - ax * z + ay * w + az * x;
    turned[j * 4 + 2] = aw * z + ax * y - ay * x + az * w;
    turned[j * 4 + 3] = aw * w - ax * x - ay * y - az * z;
    // v + 2w(a × v) + 2a × (a × v)
    const [cx, cy, cz] = [ay * pz - az * py, az * px - ax * pz, ax * py - ay * px];
    at[j * 3] = at[parent * 3] + px + 2 * (aw * cx + ay * cz - az * cy);
    at[j * 3 + 1] = at[parent * 3 + 1] + py + 2 * (aw * cy + az * cx - ax * cz);
    at[j * 3 + 2] = at[parent * 3 + 2] + pz + 2 * (aw * cz + ax * cy - ay * cx);
  }
}

/** The pose of a frame. */
export function poseOf({ joints, turns, places }: Motion, frame: number): Pose {
  const out = newPose(joints.length);
  fillPose(out, joints, turns, places, frame);
  return out;
}

/**
 * How high a figure is that stands at rest, in the file's own units: from its lowest joint to its highest; the most it reaches
 * any way where it lies. At least a little.
 */
export function heightOf({ joints }: Pick<Motion, 'joints'>): number {
  const out = newPose(joints.length);
  const upright = new Float64Array(joints.length * 4).map((_, i) => (i % 4 === 3 ? 1 : 0));
  fillPose(
    out,
    joints,
    upright,
    joints.flatMap(({ offset }) => offset),
  );
  const spans = [0, 1, 2].map((k) => {
    const all = joints.map((_, j) => out.places[j * 3 + k]);
    return Math.max(...all) - Math.min(...all);
  });
  const most = Math.max(...spans);
  return Math.max(1e-9, spans[1] > most * 0.5 ? spans[1] : most);
}
