import * as THREE from 'three';
import { hexToLinear } from '../../../core/colour/colour';
import type { GlowLayer } from '../../../core/look/effects/glow/glow';
import { fullscreenMaterial } from '../../gl/quad';
import { floatTarget } from '../../gl/target';
import type { Gpu } from '../../gl/gpu';
import downFragment from './down.frag.glsl?raw';
import shrinkFragment from './shrink.frag.glsl?raw';
import upFragment from './up.frag.glsl?raw';

/** Shorter side of the picture on which glow is measured, in pixels: fixed, so that a look does not change with size. */
const REFERENCE = 270;
const LEVELS = 7;

/** The targets for pictures of one size. */
class Sizes {
  /** the picture shrunk by halves until below twice the reference, then the reference pyramid, then what is gathered upwards */
  readonly shrink: THREE.WebGLRenderTarget[] = [];
  readonly pyramid: THREE.WebGLRenderTarget[];
  readonly glow: THREE.WebGLRenderTarget[];

  constructor(
    readonly width: number,
    readonly height: number,
  ) {
    const scale = REFERENCE / Math.min(width, height);
    for (let factor = 0.5; factor >= 2 * scale; factor /= 2)
      this.shrink.push(floatTarget(width * factor, height * factor));
    this.pyramid = Array.from({ length: LEVELS }, (_, j) =>
      floatTarget((width * scale) / 2 ** j, (height * scale) / 2 ** j),
    );
    this.glow = this.pyramid.map((level) => floatTarget(level.width, level.height));
  }

  dispose(): void {
    for (const target of [...this.shrink, ...this.pyramid, ...this.glow]) target.dispose();
  }
}

/** Pyramid level, fractional, whose spread matches a glow radius given as a share of the shorter side. */
const levelOf = (radius: number): number => Math.min(LEVELS - 1, Math.max(0, Math.log2(radius * REFERENCE * 0.7)));

/**
 * Up to four glows from one shared pyramid. The picture is first averaged to a fixed reference size; each glow takes the
 * light above its threshold on the level of its own radius, and the levels are gathered upwards through tents.
 */
export class GlowPyramid {
  private readonly shrinkMaterial = fullscreenMaterial(shrinkFragment, {
    uSource: { value: null },
    uStep: { value: new THREE.Vector2() },
  });
  private readonly downMaterial = fullscreenMaterial(downFragment, {
    uSource: { value: null },
    uTexel: { value: new THREE.Vector2() },
  });
  private readonly upMaterial = fullscreenMaterial(upFragment, {
    uCoarse: { value: null },
    uLevel: { value: null },
    uTexel: { value: new THREE.Vector2() },
    uHasCoarse: { value: false },
    uThreshold: { value: new THREE.Vector4() },
    uWeight: { value: new THREE.Vector4() },
    uTint0: { value: new THREE.Vector3() },
    uTint1: { value: new THREE.Vector3() },
    uTint2: { value: new THREE.Vector3() },
    uTint3: { value: new THREE.Vector3() },
  });

  private sizes: Sizes | null = null;

  constructor(private readonly gpu: Gpu) {}

  private sizesFor({ width, height }: THREE.WebGLRenderTarget): Sizes {
    if (this.sizes?.width !== width || this.sizes.height !== height) {
      this.sizes?.dispose();
      this.sizes = new Sizes(width, height);
    }
    return this.sizes;
  }

  /** @returns the glow's texture, or null when there is none */
  gather(light: THREE.WebGLRenderTarget, glows: readonly GlowLayer[]): THREE.Texture | null {
    const used = glows.filter((glow) => glow.gain > 0);
    if (used.length === 0) return null;
    const deepest = Math.min(LEVELS - 1, Math.ceil(Math.max(...used.map((glow) => levelOf(glow.radius)))));
    const targets = this.sizesFor(light);
    this.buildPyramid(light, targets, deepest);
    const u = this.upMaterial.uniforms;
    const four = [0, 1, 2, 3].map((i) => used[i]);
    (u.uThreshold.value as THREE.Vector4).set(
      ...(four.map((glow) => glow?.threshold ?? 0) as [number, number, number, number]),
    );
    four.forEach((glow, i) => (u[`uTint${i}`].value as THREE.Vector3).set(...hexToLinear(glow?.tint ?? '#000000')));
    for (let j = deepest; j >= 0; j--) {
      const weights = four.map((glow) => (glow ? glow.gain * Math.max(0, 1 - Math.abs(levelOf(glow.radius) - j)) : 0));
      (u.uWeight.value as THREE.Vector4).set(...(weights as [number, number, number, number]));
      u.uLevel.value = targets.pyramid[j].texture;
      u.uHasCoarse.value = j < deepest;
      if (j < deepest) {
        const coarse = targets.glow[j + 1];
        u.uCoarse.value = coarse.texture;
        (u.uTexel.value as THREE.Vector2).set(1 / coarse.width, 1 / coarse.height);
      }
      this.gpu.quad.draw(this.gpu.renderer, this.upMaterial, targets.glow[j]);
    }
    return targets.glow[0].texture;
  }

  private buildPyramid(light: THREE.WebGLRenderTarget, targets: Sizes, deepest: number): void {
    const { renderer, quad } = this.gpu;
    let source = light;
    const down = (target: THREE.WebGLRenderTarget): void => {
      this.downMaterial.uniforms.uSource.value = source.texture;
      (this.downMaterial.uniforms.uTexel.value as THREE.Vector2).set(1 / source.width, 1 / source.height);
      quad.draw(renderer, this.downMaterial, target);
      source = target;
    };
    targets.shrink.forEach(down);
    const base = targets.pyramid[0];
    this.shrinkMaterial.uniforms.uSource.value = source.texture;
    (this.shrinkMaterial.uniforms.uStep.value as THREE.Vector2).set(0.25 / base.width, 0.25 / base.height);
    quad.draw(renderer, this.shrinkMaterial, base);
    source = base;
    for (let j = 1; j <= deepest; j++) down(targets.pyramid[j]);
  }

  dispose(): void {
    this.sizes?.dispose();
    for (const material of [this.shrinkMaterial, this.downMaterial, this.upMaterial]) material.dispose();
  }
}
