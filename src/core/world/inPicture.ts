import type { Piece } from '../piece/schema';
import { fisheyePlace, radiansPerPixel } from '../lens/fisheye';
import { dot, length, rotate, subtract, type Vec3 } from '../space/vector';
import { acrossAt, cameraPose, pictureTurn } from './camera';

/** A place as the camera sees it, from the middle of its lens. */
export interface InPicture {
  /** shares of the picture's width from its left, and of its height from its top; beyond 0 to 1 it is out of sight */
  x: number;
  y: number;
  /** metres that the width of the picture spans there */
  span: number;
  /** unit vectors of the world: to the right and up in the picture, and away from the camera */
  right: Vec3;
  up: Vec3;
  away: Vec3;
}

/** Nearer than this, in metres along the line of sight, nothing is before the camera. */
const NEAREST = 0.02;

/** Where a place of the world, in metres, is in the picture at a phase; null where it is behind the camera, or beyond the circle of a fisheye. */
export function inPicture(piece: Piece, place: Vec3, phase: number): InPicture | null {
  const pose = cameraPose(piece, phase);
  const { position, orthoWidth, fisheye } = pose;
  const [right, up, away] = (
    [
      [1, 0, 0],
      [0, 1, 0],
      [0, 0, -1],
    ] as Vec3[]
  ).map((axis) => rotate(pictureTurn(pose), axis));
  const off = subtract(place, position);
  const distance = dot(off, away);
  const { width, height } = piece.frame;
  if (fisheye) {
    const each = radiansPerPixel(fisheye.angle, piece.frame);
    const far = length(off);
    const at = fisheyePlace([dot(off, right), dot(off, up), -distance]);
    if (far < NEAREST || Math.hypot(...at) > fisheye.angle / 2) return null;
    return { x: 0.5 + at[0] / each / width, y: 0.5 - at[1] / each / height, span: far * each * width, right, up, away };
  }
  if (orthoWidth === null && distance < NEAREST) return null;
  const span = acrossAt(pose, distance);
  return {
    x: 0.5 + dot(off, right) / span,
    y: 0.5 - ((dot(off, up) / span) * width) / height,
    span,
    ...{ right, up, away },
  };
}
