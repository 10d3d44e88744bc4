import type * as THREE from 'three';
import type { Asked } from '../../core/look/channels';
import type { SeenPlace } from '../../core/world/sunPlace';
import type { Moment } from '../../core/look/effects/reach';
import type { Slot } from '../channels/slots';
import type { Gpu } from '../gl/gpu';
import heldSource from './held.glsl?raw';
import transferSource from './transfer.glsl?raw';

/** Where the picture goes on beyond its sides: a source of programs that look there. */
export const HELD = { held: heldSource };
/** Light to code values and back. */
export const TRANSFER = { transfer: transferSource };

/** What an effect may look at besides the pixel it changes. */
export type Need = 'neighbours';

/** Of the frame that is finished; what repeats with the lap takes its frame. */
export interface FrameInfo extends Moment {
  /** draw what is noise by nature; off for measurements, which must not see it */
  texture: boolean;
  /** the steps that code values are rounded to afterwards, in code values of 8 bits */
  step: number;
  /** where the frame holds what an effect asks for: see core/look/channels.ts */
  slotOf(asked: Asked): Slot;
  /** the light of earlier moments that an effect asks for */
  earlierOf(effect: { id: string }): THREE.Texture;
  /** where the first sun is seen, or would be; null where there is none */
  sunAt(): SeenPlace | null;
}

/** An effect of one place in a chain, on the GPU. */
export interface RunningEffect<E> {
  /** by the names the program's GLSL gives them */
  uniforms: Record<string, THREE.IUniform>;
  /** sets the uniforms, and draws beforehand what the GLSL reads, from the picture as it is when the effect's turn comes */
  prepare(effect: E, source: THREE.WebGLRenderTarget, frame: FrameInfo): void;
  dispose(): void;
}

/**
 * How one kind of effect is drawn. What is done to single pixels is a piece of GLSL, so that effects that follow one another
 * are one program: `void effect_apply(inout vec3 c, inout float gain)`, where `gain` is what light is still to be multiplied by. All names of
 * its own begin with `effect_`; it may use vUv, uPicture (pixels), uFrame and what it lists as sources.
 */
export interface EffectProgram<E> {
  needs: readonly Need[];
  glsl: string;
  sources?: Record<string, string>;
  make(gpu: Gpu): RunningEffect<E>;
}
