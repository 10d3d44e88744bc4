import { lightOf } from '../look/lights/kinds';
import type { Piece } from '../piece/schema';
import { fisheyePlace, radiansPerPixel } from '../lens/fisheye';
import { dot, inverse, rotate } from '../space/vector';
import { cameraPose, pictureTurn } from './camera';
import { MIDDLE } from './lights';

/** Where a direction is seen in a picture. */
export interface SeenPlace {
  /** shares of width and height from the lower left; far outside it may be any number */
  at: [number, number];
  /** 1 before the camera, 0 beside or behind it, smooth between, so that what goes by it never pops */
  ahead: number;
}

/** Cosine from the camera's axis at which a direction is wholly before it. */
const WHOLLY = 0.35;
/** Radians over which it goes out beyond the rim of a fisheye's circle. */
const RIM = 0.2;

const smooth = (share: number): number => {
  const v = Math.min(1, Math.max(0, share));
  return v * v * (3 - 2 * v);
};

/**
 * Where the first sun that is on is seen, or would be; null where there is none.
 * @param phase not wrapped
 */
export function sunPlace(piece: Piece, phase: number): SeenPlace | null {
  const sun = piece.look.lights.find(({ kind, off }) => kind === 'sun' && !off);
  if (!sun) return null;
  const pose = cameraPose(piece, phase);
  const standing = { ...MIDDLE, rotation: pose.quaternion };
  const { from } = lightOf(sun.kind).at(sun, phase, standing);
  if (!from) return null;
  const [x, y, z] = rotate(inverse(pictureTurn(pose)), from);
  const { width, height } = piece.frame;
  if (pose.fisheye) {
    // it is before a fisheye wherever it is in its circle
    const { angle } = pose.fisheye;
    const [right, up] = fisheyePlace([x, y, z]).map((radians) => radians / radiansPerPixel(angle, piece.frame));
    const within = (angle / 2 - Math.hypot(...fisheyePlace([x, y, z]))) / RIM;
    return { at: [0.5 + right / width, 0.5 + up / height], ahead: smooth(within + 1) };
  }
  const focal = pose.focalMm / pose.sensorMm / Math.max(-z, 1e-3);
  return {
    at: [0.5 + x * focal, 0.5 + (y * focal * width) / height],
    ahead: smooth(dot([x, y, z], [0, 0, -1]) / WHOLLY),
  };
}
