import * as THREE from 'three';
import type { Rgb } from '../../../core/colour/colour';
import { ADDITIVE, fullscreenMaterial } from '../../gl/quad';
import { emptyLight, floatTarget } from '../../gl/target';
import type { Gpu } from '../../gl/gpu';
import brightSource from './bright.glsl?raw';
import brightFragment from './bright.frag.glsl?raw';
import { Halver, Reference } from './reference';
import sweepFragment from './sweep.frag.glsl?raw';

/** Samples of a pass, and how much farther each pass goes than the one before. */
const TAPS = 4;
/** Lengths, at each of which a third is left, that are drawn: of what is beyond, e^-6 is left. */
const LENGTHS = 6;
const MOST_PASSES = 5;

/** One way that light is drawn along. */
export interface Sweep {
  /** towards where it shines, in pixels of the reference a sample; [0, 0] where it goes by a factor */
  step: readonly [number, number];
  /** the place that a factor is about, shares of the picture */
  about?: readonly [number, number];
  /** natural logarithm of the factor a sample; below 0 light goes outwards */
  factor?: number;
  /** samples after which a third (1/e) is left */
  length: number;
  /** of all light that is swept */
  share: number;
}

/** What is swept: light above a threshold, times a colour. */
export interface Bright {
  threshold: number;
  light: Rgb;
}

class Room {
  readonly reference: Reference;
  readonly bright: THREE.WebGLRenderTarget;
  readonly between: THREE.WebGLRenderTarget[];
  readonly sum: THREE.WebGLRenderTarget;

  constructor(
    readonly width: number,
    readonly height: number,
  ) {
    this.reference = new Reference(width, height);
    const { scale } = this.reference;
    const target = (): THREE.WebGLRenderTarget => floatTarget(width * scale, height * scale);
    [this.bright, this.sum] = [target(), target()];
    this.between = [target(), target()];
  }

  dispose(): void {
    this.reference.dispose();
    for (const target of [this.bright, this.sum, ...this.between]) target.dispose();
  }
}

/**
 * Bright light swept along lines, from a reference of fixed size. Along each the shares of its samples fall as e^(-i / length) and sum to 1: all light that
 * does not leave the picture is there, wherever between two pixels it lies.
 */
export class Sweeps {
  private readonly brightMaterial = fullscreenMaterial(brightSource.replaceAll('GLOW_', 'own_') + brightFragment, {
    own_count: { value: 1 },
    own_threshold: { value: [0, 0, 0, 0] },
    own_tint: { value: Array.from({ length: 4 }, () => new THREE.Vector3()) },
    uSource: { value: null },
  });
  private readonly uniforms = {
    uSource: { value: null as THREE.Texture | null },
    uStep: { value: new THREE.Vector2() },
    uAbout: { value: new THREE.Vector2(0.5, 0.5) },
    uFactor: { value: 0 },
    uShares: { value: new THREE.Vector4() },
  };
  private readonly onward = fullscreenMaterial(sweepFragment, this.uniforms);
  private readonly adding = fullscreenMaterial(sweepFragment, this.uniforms, ADDITIVE);
  private readonly halver: Halver;
  private room: Room | null = null;

  constructor(private readonly gpu: Gpu) {
    this.halver = new Halver(gpu);
  }

  /** Pixels of the reference's shorter side. */
  sideFor(picture: THREE.WebGLRenderTarget): number {
    return this.roomFor(picture).reference.side;
  }

  private roomFor({ width, height }: THREE.WebGLRenderTarget): Room {
    if (this.room?.width !== width || this.room.height !== height) {
      this.room?.dispose();
      this.room = new Room(width, height);
    }
    return this.room;
  }

  /** All light that is swept, at the reference size. */
  gather(picture: THREE.WebGLRenderTarget, { threshold, light }: Bright, sweeps: readonly Sweep[]): THREE.Texture {
    const room = this.roomFor(picture);
    const { renderer, quad } = this.gpu;
    const u = this.brightMaterial.uniforms;
    (u.own_threshold.value as number[])[0] = threshold;
    (u.own_tint.value as THREE.Vector3[])[0].set(...light);
    u.uSource.value = room.reference.of(picture, this.halver).texture;
    quad.draw(renderer, this.brightMaterial, room.bright);
    emptyLight(renderer, room.sum);
    for (const sweep of sweeps) this.sweep(room, sweep);
    return room.sum.texture;
  }

  private sweep({ bright, between, sum }: Room, { step, about = [0.5, 0.5], factor = 0, length, share }: Sweep): void {
    const passes = Math.min(MOST_PASSES, Math.max(1, Math.ceil(Math.log(LENGTHS * length) / Math.log(TAPS))));
    const { uSource, uStep, uAbout, uFactor, uShares } = this.uniforms;
    uAbout.value.set(...about);
    let source = bright;
    for (let pass = 0; pass < passes; pass++) {
      const far = TAPS ** pass;
      const falls = [0, 1, 2, 3].map((i) => Math.exp((-i * far) / length));
      const whole = falls.reduce((a, b) => a + b);
      const last = pass === passes - 1;
      uSource.value = source.texture;
      // light that shines towards a place comes from before it
      uStep.value.set((-step[0] * far) / bright.width, (-step[1] * far) / bright.height);
      uFactor.value = factor * far;
      uShares.value.fromArray(falls.map((v) => (v / whole) * (last ? share : 1)));
      const to = last ? sum : between[pass % 2];
      this.gpu.quad.draw(this.gpu.renderer, last ? this.adding : this.onward, to);
      source = to;
    }
    uSource.value = null;
  }

  dispose(): void {
    this.room?.dispose();
    this.halver.dispose();
    for (const material of [this.brightMaterial, this.onward, this.adding]) material.dispose();
  }
}
