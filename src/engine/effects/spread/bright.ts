import * as THREE from 'three';
import type { Rgb } from '../../../core/colour/colour';
import { fullscreenMaterial } from '../../gl/quad';
import { floatTarget } from '../../gl/target';
import type { Gpu } from '../../gl/gpu';
import brightSource from './bright.glsl?raw';
import brightFragment from './bright.frag.glsl?raw';
import { Halver, Reference } from './reference';

/** What is taken of a picture: light above a threshold, times a colour. */
export interface Bright {
  threshold: number;
  soft: number;
  light: Rgb;
}

/** What is bright of pictures of one size, at the reference size. */
export class BrightPicture {
  readonly reference: Reference;
  readonly bright: THREE.WebGLRenderTarget;

  constructor(
    readonly width: number,
    readonly height: number,
  ) {
    this.reference = new Reference(width, height);
    this.bright = this.target();
  }

  /** A target as large as it, or by a factor. */
  target(factor = 1): THREE.WebGLRenderTarget {
    const { scale } = this.reference;
    return floatTarget(this.width * scale * factor, this.height * scale * factor);
  }

  dispose(): void {
    this.reference.dispose();
    this.bright.dispose();
  }
}

/** Takes what is bright of pictures. */
export class Taker {
  private readonly material = fullscreenMaterial(brightSource.replaceAll('GLOW_', 'own_') + brightFragment, {
    own_count: { value: 1 },
    own_threshold: { value: Array.from({ length: 4 }, () => new THREE.Vector2()) },
    own_tint: { value: Array.from({ length: 4 }, () => new THREE.Vector3()) },
    uSource: { value: null },
  });
  readonly halver: Halver;

  constructor(private readonly gpu: Gpu) {
    this.halver = new Halver(gpu);
  }

  take(picture: THREE.WebGLRenderTarget, { threshold, soft, light }: Bright, to: BrightPicture): void {
    const u = this.material.uniforms;
    (u.own_threshold.value as THREE.Vector2[])[0].set(threshold, soft);
    (u.own_tint.value as THREE.Vector3[])[0].set(...light);
    u.uSource.value = to.reference.of(picture, this.halver).texture;
    this.gpu.quad.draw(this.gpu.renderer, this.material, to.bright);
  }

  dispose(): void {
    this.halver.dispose();
    this.material.dispose();
  }
}
