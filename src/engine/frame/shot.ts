import * as THREE from 'three';
import { cameraPose, type CameraPose } from '../../core/world/camera';
import type { Piece } from '../../core/piece/schema';
import { imageDistanceMm } from '../../core/lens/optics';
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

/** World to view at a phase, which is not wrapped. */
export function viewMatrix(piece: Piece, phase: number): THREE.Matrix4 {
  const pose = cameraPose(piece, phase);
  const view = new THREE.Matrix4()
    .compose(new THREE.Vector3(...pose.position), new THREE.Quaternion(...pose.quaternion), new THREE.Vector3(1, 1, 1))
    .invert();
  view.elements[14] -= drawnBack(piece, pose);
  return view;
}

export function shotAt(piece: Piece, phase: number, width: number): Shot {
  const pose = cameraPose(piece, phase);
  const openFor = openLaps(piece, phase);
  const openPhase = phase - openFor / 2;
  const closePhase = phase + openFor / 2;
  const mid = viewMatrix(piece, phase);
  return {
    pose,
    mid,
    open: openFor > 0 ? viewMatrix(piece, openPhase) : mid,
    close: openFor > 0 ? viewMatrix(piece, closePhase) : mid,
    phase,
    openPhase,
    closePhase,
    // a lens that breathes is drawn out when focused close: the image lies farther behind it
    pixelFocal:
      (width * (piece.flight.breathing && pose.orthoWidth === null ? imageMm(pose) : pose.focalMm)) / pose.sensorMm,
    back: drawnBack(piece, pose),
    flat: pose.orthoWidth === null ? 0 : (pose.orthoWidth * pose.focalMm) / pose.sensorMm,
    apertureHalfM: pose.focalMm / 1000 / pose.fNumber / 2,
  };
}
