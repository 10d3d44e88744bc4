import * as THREE from 'three';
import { cameraPose, pictureTurn, type CameraPose } from '../../core/world/camera';
import { OVERLAP, radiansPerPixel, type Side } from '../../core/lens/fisheye';
import type { Piece } from '../../core/piece/schema';
import { imageDistanceMm } from '../../core/lens/optics';
import { multiply } from '../../core/space/vector';
import { openLaps } from '../../core/world/exposed';

/** The camera of one frame: its matrices over the open shutter and its lens in pixels. */
export interface Shot {
  pose: CameraPose;
  open: THREE.Matrix4;
  mid: THREE.Matrix4;
  close: THREE.Matrix4;
  /** the frame's own phase; not wrapped */
  phase: number;
  /** phases at which the shutter opens and closes; not wrapped */
  openPhase: number;
  closePhase: number;
  pixelFocal: number;
  /** what it sees of a fisheye's circle; null where it is the picture */
  side: Side | null;
  /** radians from the middle of the circle to its rim, and for each pixel of the picture; 0 where it is the picture */
  round: readonly [number, number];
  /** height of the picture in pixels as fine as those of the view's middle: what is as wide as a share of it is so wide */
  high: number;
  /** without perspective the distance in metres at which the lens would see as much as the picture shows; 0 with it */
  flat: number;
  /** metres the eye is drawn back without perspective, which changes no picture but lets what is behind the camera be seen */
  back: number;
  apertureHalfM: number;
}

const imageMm = ({ focalMm, focusDistance }: CameraPose): number =>
  imageDistanceMm(focalMm, Math.max(focusDistance * 1000, focalMm * 1.1));

/** Without perspective the eye is as far behind the camera as it sees ahead. */
const drawnBack = (piece: Piece, pose: CameraPose): number => (pose.orthoWidth === null ? 0 : piece.look.reach);

/** World to view at a phase, which is not wrapped. @param side of a fisheye's cube; null for the camera's own */
export function viewMatrix(piece: Piece, phase: number, side: Side | null): THREE.Matrix4 {
  const pose = cameraPose(piece, phase);
  const turn = side ? multiply(pictureTurn(pose), side.turn) : pose.quaternion;
  const view = new THREE.Matrix4()
    .compose(new THREE.Vector3(...pose.position), new THREE.Quaternion(...turn), new THREE.Vector3(1, 1, 1))
    .invert();
  view.elements[14] -= drawnBack(piece, pose);
  return view;
}

interface Size {
  width: number;
  height: number;
}

/** A side of a fisheye's cube that is drawn. */
export interface ShotPart {
  side: Side;
  /** its own, pixels */
  size: Size;
  /** radians from edge to edge of the circle */
  angle: number;
}

/** What a fisheye's circle gives the shot of a side. */
function ofSide({ angle, size: view }: ShotPart, picture: Size): Pick<Shot, 'pixelFocal' | 'round' | 'high'> {
  const each = radiansPerPixel(angle, picture);
  const pixelFocal = view.width / 2 / (1 + OVERLAP);
  return { pixelFocal, round: [angle / 2, each], high: picture.height * pixelFocal * each };
}

/**
 * @param picture its size in pixels
 * @param part the side of a fisheye's cube that is drawn; null for the whole picture
 */
export function shotAt(piece: Piece, phase: number, picture: Size, part: ShotPart | null): Shot {
  const pose = cameraPose(piece, phase);
  const side = part?.side ?? null;
  const openFor = openLaps(piece, phase);
  const openPhase = phase - openFor / 2;
  const closePhase = phase + openFor / 2;
  const mid = viewMatrix(piece, phase, side);
  return {
    pose,
    mid,
    open: openFor > 0 ? viewMatrix(piece, openPhase, side) : mid,
    close: openFor > 0 ? viewMatrix(piece, closePhase, side) : mid,
    phase,
    openPhase,
    closePhase,
    // a lens that breathes is drawn out when focused close: the image lies farther behind it
    pixelFocal:
      (picture.width * (piece.flight.breathing && pose.orthoWidth === null ? imageMm(pose) : pose.focalMm)) /
      pose.sensorMm,
    side,
    round: [0, 0],
    high: picture.height,
    back: drawnBack(piece, pose),
    flat: pose.orthoWidth === null ? 0 : (pose.orthoWidth * pose.focalMm) / pose.sensorMm,
    apertureHalfM: pose.focalMm / 1000 / pose.fNumber / 2,
    ...(part ? ofSide(part, picture) : {}),
  };
}
