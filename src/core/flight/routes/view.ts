import { z } from 'zod';
import { fromAxis, multiply, rotate, type Quaternion, type Vec3 } from '../../space/vector';
import { worldAt } from '../target';

/** Where a camera is, and how it is turned. */
export interface Pose {
  position: Vec3;
  quaternion: Quaternion;
}

const metre = z.number().min(-10_000).max(10_000);
const degree = z.number().min(-36_000).max(36_000);

/** A way to stand and look: metres aside, above and ahead; degrees to the right, up and clockwise. */
export const viewFields = {
  aside: metre,
  above: metre,
  ahead: metre,
  yaw: degree,
  pitch: z.number().min(-90).max(90),
  roll: degree,
};
export type View = z.infer<z.ZodObject<typeof viewFields>>;

const DEGREE = Math.PI / 180;

/** Yaw to the right, then pitch upwards, then roll clockwise; degrees. */
export const viewTurn = ({ yaw, pitch, roll }: Pick<View, 'yaw' | 'pitch' | 'roll'>): Quaternion =>
  multiply(
    fromAxis([0, 1, 0], -yaw * DEGREE),
    multiply(fromAxis([1, 0, 0], pitch * DEGREE), fromAxis([0, 0, 1], -roll * DEGREE)),
  );

export const viewPlace = ({ aside, above, ahead }: View): Vec3 => worldAt(aside, above, ahead);

const rounded = (v: number, step: number): number => Number((Math.round(v / step) * step).toFixed(6)) + 0;

/** The view of a pose, to a millimetre and a hundredth of a degree. */
export function viewOf({ position, quaternion }: Pose): View {
  const forward = rotate(quaternion, [0, 0, -1]);
  const pitch = Math.asin(Math.max(-1, Math.min(1, forward[1]))) / DEGREE;
  const yaw = Math.atan2(forward[0], -forward[2]) / DEGREE;
  const level = viewTurn({ yaw, pitch, roll: 0 });
  const up = rotate(quaternion, [0, 1, 0]);
  const [lx, ly] = [rotate(level, [1, 0, 0]), rotate(level, [0, 1, 0])];
  const roll = Math.atan2(up[0] * lx[0] + up[1] * lx[1] + up[2] * lx[2], up[0] * ly[0] + up[1] * ly[1] + up[2] * ly[2]);
  return {
    aside: rounded(position[0], 0.001),
    above: rounded(position[1], 0.001),
    ahead: rounded(-position[2], 0.001),
    yaw: rounded(yaw, 0.01),
    pitch: rounded(pitch, 0.01),
    roll: rounded(roll / DEGREE, 0.01),
  };
}

/** The angle that looks like `angle` and is nearest to `near`; degrees. */
export const nearestTurn = (angle: number, near: number): number => angle + 360 * Math.round((near - angle) / 360);
