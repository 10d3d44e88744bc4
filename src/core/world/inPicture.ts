import type { Piece } from '../piece/schema';
import { dot, rotate, subtract, type Vec3 } from '../space/vector';
import { cameraPose } from './camera';

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

/** Where a place of the world, in metres, is in the picture at a phase; null where it is behind the camera. */
export function inPicture(piece: Piece, place: Vec3, phase: number): InPicture | null {
  const { position, quaternion, focalMm, sensorMm, orthoWidth } = cameraPose(piece, phase);
  const [right, up, away] = (
    [
      [1, 0, 0],
      [0, 1, 0],
      [0, 0, -1],
    ] as Vec3[]
  ).map((axis) => rotate(quaternion, axis));
  const off = subtract(place, position);
  const distance = dot(off, away);
  if (orthoWidth === null && distance < NEAREST) return null;
  const span = orthoWidth ?? (distance * sensorMm) / focalMm;
  const { width, height } = piece.frame;
  return {
    x: 0.5 + dot(off, right) / span,
    y: 0.5 - ((dot(off, up) / span) * width) / height,
    span,
    ...{ right, up, away },
  };
}
