import type { Joint, Motion } from './motion';

const JOINTS: readonly [string, number, number, number][] = [
  ['Hips', -1, 0, 0.9],
  ['Chest', 0, 0, 0.45],
  ['Head', 1, 0, 0.2],
  ['Head end', 2, 0, 0.2],
  ['Left leg', 0, 0.12, -0.85],
  ['Right leg', 0, -0.12, -0.85],
];

/** A figure that stands in for a motion that is not here. */
export const STAND_IN: Motion = {
  joints: JOINTS.map(([name, parent, x, y]): Joint => ({ name, parent, offset: [x, y, 0], end: name === 'Head end' })),
  frames: 1,
  step: 1,
  turns: Float32Array.from(JOINTS.flatMap(() => [0, 0, 0, 1])),
  places: Float32Array.from(JOINTS.flatMap(([, , x, y]) => [x, y, 0])),
};
