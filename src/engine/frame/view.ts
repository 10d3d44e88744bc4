import * as THREE from 'three';
import { colourAt } from '../../core/colour/animated';
import { bladesAt } from '../../core/flight/form';
import type { LensPass } from '../../core/lens/cells';
import type { Piece } from '../../core/piece/schema';
import { evaluateAnimated } from '../../core/time/animated';
import { airUniforms, setAir } from '../air/air';
import { skyUniforms } from '../drawings/dome/sky';
import { panoramaUniforms } from '../lights/panorama/textures';
import { slideUniforms } from '../lights/slides';
import { lightUniforms, setLights } from '../lights/table';
import { shadowUniforms } from '../shadows/uniforms';
import { toPicture } from '../fisheye/circle';
import { viewMatrix, type Shot } from './shot';
import type { FrameRequest } from './request';

/** Slices of the shutter in which small particles are drawn when nothing solid can hide them. */
const SMALL_SLICES = 4;

/** By how many pixels a body may differ from its mesh, in a live picture of few passes and in a finished one. */
const ERROR_PX = { live: 0.6, finished: 0.05 };
const FEW_PASSES = 2;

/** What every drawing knows of the camera, the air and the light of a frame, by the names the programs give it. */
export const makeView = () => ({
  ...skyUniforms(),
  ...airUniforms(),
  ...lightUniforms(),
  ...panoramaUniforms(),
  ...slideUniforms(),
  ...shadowUniforms(),
  uPicture: { value: new THREE.Vector2() },
  uPixelFocal: { value: 1 },
  uHigh: { value: 1 },
  uToPicture: { value: new THREE.Matrix3() },
  uCircle: { value: new THREE.Vector2() },
  uApertureHalf: { value: 0 },
  uFocus: { value: 1 },
  uFlat: { value: 0 },
  uAir: { value: new THREE.Vector4() },
  uFogColour: { value: new THREE.Vector3() },
  uViewOpen: { value: new THREE.Matrix4() },
  uViewMid: { value: new THREE.Matrix4() },
  uViewClose: { value: new THREE.Matrix4() },
  uAperture: { value: new THREE.Vector4() },
  uErrorPx: { value: 0 },
  // of one pass
  uView: { value: new THREE.Matrix4() },
  uTime: { value: 0.5 },
  uPass: { value: new THREE.Vector4() },
  uShare: { value: 1 },
  uTimes: { value: 1 },
  uSmallSlices: { value: 1 },
  uLens: { value: new THREE.Vector2() },
  uLensAt: { value: new THREE.Vector2() },
  uJitter: { value: new THREE.Vector2() },
  uMirror: { value: new THREE.Vector4(0, 0, 0, 0) },
  uMatter: { value: null as THREE.Texture | null },
  uMatterColour: { value: null as THREE.Texture | null },
  uMatterManner: { value: null as THREE.Texture | null },
  uBehind: { value: null as THREE.Texture | null },
  uGlassBack: { value: null as THREE.Texture | null },
  uSolid: { value: false },
  uSoftHiding: { value: 0 },
  uKeepDepth: { value: 0 },
  uBackdrop: { value: 1 },
  // of one target
  uLevel: { value: 1 },
});
export type View = ReturnType<typeof makeView>;

/** What a view of the camera has of its own, and one from a light or of a mirror. */
const OWN = [
  ...(['uPicture', 'uPixelFocal', 'uApertureHalf', 'uFocus', 'uFlat', 'uAir', 'uAperture', 'uErrorPx'] as const),
  ...(['uViewOpen', 'uViewMid', 'uViewClose', 'uView', 'uLens', 'uLensAt', 'uJitter', 'uMirror'] as const),
  ...(['uPass', 'uTimes', 'uLevel'] as const),
];

type Value = number | THREE.Vector2 | THREE.Vector4 | THREE.Matrix4;

const copied = (value: Value): Value => (typeof value === 'number' ? value : value.clone());

/** The camera's own values of a view, to be given back. */
export function keepCamera(view: View): () => void {
  const kept = OWN.map((name) => copied(view[name].value));
  return () => OWN.forEach((name, i) => ((view[name] as { value: Value }).value = kept[i]));
}

/** Sets what is the same in all passes of a frame. */
export function setFrame(
  view: View,
  { flight, look }: Piece,
  shot: Shot,
  { phase, width, height, passes, coarseness, clear }: FrameRequest,
): void {
  view.uPicture.value.set(width, height);
  view.uPixelFocal.value = shot.pixelFocal;
  view.uHigh.value = shot.high;
  view.uCircle.value.set(...shot.round);
  if (shot.side) view.uToPicture.value.copy(toPicture(shot.side));
  else view.uToPicture.value.identity();
  view.uApertureHalf.value = shot.apertureHalfM;
  view.uFocus.value = shot.pose.focusDistance + shot.back;
  view.uFlat.value = shot.flat;
  const fog = evaluateAnimated(look.fogDistance, phase);
  view.uAir.value.set(look.fogStart + shot.back, fog, look.reach + shot.back, look.nearFade);
  view.uBackdrop.value = clear ? 0 : 1;
  view.uFogColour.value.set(...colourAt(look.fogColour, phase));
  view.uViewOpen.value.copy(shot.open);
  view.uViewMid.value.copy(shot.mid);
  view.uViewClose.value.copy(shot.close);
  view.uErrorPx.value = passes <= FEW_PASSES ? ERROR_PX.live * coarseness : ERROR_PX.finished;
  view.uAperture.value.set(
    bladesAt(flight, phase),
    evaluateAnimated(flight.bladeTurn, phase) / 360,
    evaluateAnimated(flight.squeeze, phase),
    0,
  );
}

/** One pass of a frame: the part of lens and shutter that it owns. */
export interface Pass {
  lens: LensPass;
  index: number;
  total: number;
}

/** The phase that a pass shows, which is not wrapped: the frame's own where it is the only one. */
export const phaseOf = ({ phase, openPhase, closePhase }: Shot, { lens, total }: Pass): number =>
  total === 1 ? phase : openPhase + (closePhase - openPhase) * lens.t;

/**
 * Sets what is of one pass.
 * @param solid whether something can hide what is behind it
 * @param tints of lights that shine in the colour of what they show
 * @returns whether small particles are drawn in this pass: without anything solid in the way their streak is closed form,
 *   and a few slices of the shutter follow their path as well as all passes would; the first pass of each slice draws it
 */
export function setPass(
  view: View,
  piece: Piece,
  shot: Shot,
  pass: Pass,
  solid: boolean,
  tints: Parameters<typeof setLights>[4],
): boolean {
  const { lens, index, total } = pass;
  view.uPass.value.set(lens.a, lens.b, lens.t, Math.log2(total));
  view.uView.value.copy(total === 1 ? shot.mid : viewMatrix(piece, phaseOf(shot, pass), shot.side));
  view.uTime.value = lens.t;
  const { frames } = piece.lap;
  const phase = phaseOf(shot, pass);
  setLights(view, piece, phase, shot.phase * frames, tints);
  setAir(view, piece, phase, total);
  const slices = solid ? total : Math.min(total, SMALL_SLICES);
  view.uSmallSlices.value = slices;
  view.uShare.value = 1 / total;
  view.uLens.value.set(lens.x * shot.apertureHalfM, lens.y * shot.apertureHalfM);
  view.uLensAt.value.set(lens.x, lens.y);
  view.uJitter.value.set(total === 1 ? 0 : lens.b - 0.5, total === 1 ? 0 : lens.t - 0.5);
  view.uAperture.value.w = solid ? 1 : 0;
  // what is drawn into is not read
  view.uMatter.value = view.uMatterColour.value = view.uMatterManner.value = null;
  view.uSolid.value = false;
  view.uSoftHiding.value = 0;
  return index % (total / slices) === 0;
}
