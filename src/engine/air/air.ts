import * as THREE from 'three';
import type { Air } from '../../core/air/form';
import { sources as litSources } from '../../core/air/lit.gen';
import { MIST_ENTRIES, mistOf } from '../../core/air/mist';
import { sources as mistSources } from '../../core/air/mist.gen';
import { colourAt } from '../../core/colour/animated';
import { joinSources } from '../../core/kernel/kernel';
import type { Piece } from '../../core/piece/schema';
import { evaluateAnimated } from '../../core/time/animated';
import { lightSlots } from '../../core/world/lights';
import type { View } from '../frame/view';
import pixelSource from '../frame/pixel.glsl?raw';
import viewSource from '../frame/view.glsl?raw';
import type { Gpu } from '../gl/gpu';
import { ADDITIVE, fullscreenMaterial } from '../gl/quad';
import { airProgram, placesOf } from '../lights/lamps';
import type { LitRow } from '../lights/program';
import { LitProgram, shadingSource } from '../matter/program';
import betweenSource from './between.glsl?raw';
import litFragment from './lit.frag.glsl?raw';
import mistSource from './mist.glsl?raw';
import veilSource from './veil.glsl?raw';

/** What the programs know of the air besides even fog. */
export const airUniforms = () => ({
  uMisty: { value: 0 },
  uMist: { value: new THREE.Vector3() },
  uMistWaves: {
    value: new THREE.DataTexture(
      new Float32Array(4 * MIST_ENTRIES),
      MIST_ENTRIES,
      1,
      THREE.RGBAFormat,
      THREE.FloatType,
    ),
  },
  uMistColour: { value: new THREE.Vector3() },
  uHaze: { value: new THREE.Vector2() },
  uPlaces: { value: 1 },
});

/** Mist before a place, as a program has it that has frame/view.glsl and what of the core it needs in front. */
export const MIST = { sources: mistSources, glsl: mistSource };

/** The same with that. @param sources of the core that the program needs besides */
export const mistProgram = (sources: Record<string, string> = {}): string =>
  joinSources(sources, mistSources) + mistSource;

/** The line of sight of a pixel, in full-screen programs. */
export const PIXEL = `uniform mat4 uView;\nin vec2 vUv;\n${pixelSource}`;

/** Mist before what a pixel shows, as a program has it that has frame/view.glsl in front. */
export const VEIL = PIXEL + mistProgram() + veilSource;

/** Sets the air of a moment. @param phase not wrapped @param passes of the frame */
export function setAir(
  view: ReturnType<typeof airUniforms>,
  { look, tile }: Piece,
  phase: number,
  passes: number,
): void {
  view.uPlaces.value = placesOf(passes);
  const mist = mistOf(look, tile, phase);
  view.uMisty.value = mist?.groups ?? 0;
  view.uHaze.value.set(evaluateAnimated(look.haze, phase), look.hazeForward);
  if (!mist) return;
  view.uMist.value.set(...mist.shape);
  const waves = view.uMistWaves.value;
  waves.image.data?.set(mist.waves);
  waves.needsUpdate = true;
  view.uMistColour.value.set(...colourAt(look.mistColour, phase));
}

const isMisty = (air: Air): boolean => air.mist !== 'none';
const hasBeams = (piece: Piece): boolean => lightSlots(piece).some(({ light }) => 'beam' in light && light.beam !== 0);

/** Whether lamps light up the air of a piece, at any moment of it. */
export const isLit = (piece: Piece): boolean => (isMisty(piece.look) || piece.look.haze !== 0) && hasBeams(piece);

/** Whether lamps light up what is no matter, anywhere in the picture: air, or what floats in it. */
export const isLitAnywhere = (piece: Piece): boolean =>
  isLit(piece) || piece.layers.some((layer) => !layer.hidden && 'lit' in layer && layer.lit);

/** Whether there is anything in the air of a piece that hides or shines where nothing else is. */
export const isSeen = (piece: Piece): boolean => isMisty(piece.look) || isLitAnywhere(piece);

/** The light of lamps in the air. */
export class LitAir {
  private readonly program: LitProgram;
  private lit = false;

  constructor(
    private readonly gpu: Gpu,
    view: View,
  ) {
    const source = (lights: readonly LitRow[]): string =>
      viewSource +
      PIXEL +
      shadingSource(lights, litSources) +
      mistProgram() +
      betweenSource +
      airProgram(lights) +
      litFragment;
    this.program = new LitProgram(fullscreenMaterial(source([]), view, ADDITIVE), source);
  }

  /** Takes the lamps of a piece. */
  light(piece: Piece): void {
    this.lit = isLit(piece);
    if (this.lit) this.program.light(piece);
  }

  /** Adds what is lit before the matter of a pass. */
  draw(to: THREE.WebGLRenderTarget): void {
    if (this.lit) this.gpu.quad.draw(this.gpu.renderer, this.program.material, to);
  }

  dispose(): void {
    this.program.material.dispose();
  }
}
