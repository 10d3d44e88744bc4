import { axis } from '../space/axes.gen';

export type Axis = keyof typeof axis;
export const AXES: Record<Axis, string> = { along: 'Along the travel', up: 'Upright', aside: 'From side to side' };
/** The axes in the kernels' numbering and as unit vectors. */
export const AXIS_INDEX = axis;
export const AXIS_VECTOR: Record<Axis, readonly [number, number, number]> = {
  along: [0, 0, 1],
  up: [0, 1, 0],
  aside: [1, 0, 0],
};
