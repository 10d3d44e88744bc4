import * as THREE from 'three';
import { ADDITIVE, fullscreenMaterial } from '../../gl/quad';
import { Sized } from '../../gl/sized';
import { emptyLight } from '../../gl/target';
import type { Gpu } from '../../gl/gpu';
import { BrightPicture, Taker, type Bright } from './bright';
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

/** The targets for pictures of one size. */
class Room extends BrightPicture {
  readonly between = [this.target(), this.target()];
  readonly sum = this.target();

  override dispose(): void {
    super.dispose();
    for (const target of [this.sum, ...this.between]) target.dispose();
  }
}

/**
 * Bright light swept along lines, from a reference of fixed size. Along each the shares of its samples fall as e^(-i / length) and sum to 1: all light that
 * does not leave the picture is there, wherever between two pixels it lies.
 */
export class Sweeps {
  private readonly uniforms = {
    uSource: { value: null as THREE.Texture | null },
    uStep: { value: new THREE.Vector2() },
    uAbout: { value: new THREE.Vector2(0.5, 0.5) },
    uFactor: { value: 0 },
    uShares: { value: new THREE.Vector4() },
  };
  private readonly onward = fullscreenMaterial(sweepFragment, this.uniforms);
  private readonly adding = fullscreenMaterial(sweepFragment, this.uniforms, ADDITIVE);
  private readonly taker: Taker;
  private readonly rooms = new Sized((width, height) => new Room(width, height));

  constructor(private readonly gpu: Gpu) {
    this.taker = new Taker(gpu);
  }

  /** Pixels of the reference's shorter side. */
  sideFor(picture: THREE.WebGLRenderTarget): number {
    return this.rooms.at(picture).reference.side;
  }

  /** All light that is swept, at the reference size. */
  gather(picture: THREE.WebGLRenderTarget, bright: Bright, sweeps: readonly Sweep[]): THREE.Texture {
    const room = this.rooms.at(picture);
    this.taker.take(picture, bright, room);
    emptyLight(this.gpu.renderer, room.sum);
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
    this.rooms.dispose();
    this.taker.dispose();
    for (const material of [this.onward, this.adding]) material.dispose();
  }
}
