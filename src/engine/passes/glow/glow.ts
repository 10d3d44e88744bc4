import * as THREE from 'three';
import { hexToLinear } from '../../../core/colour/colour';
import type { GlowLayer } from '../../../core/look/form';
import { fullscreenMaterial, type Quad } from '../../gl/quad';
import { GLOW_LEVELS, GLOW_REFERENCE, type Targets } from '../../targets';
import downFragment from './down.frag.glsl?raw';
import shrinkFragment from './shrink.frag.glsl?raw';
import upFragment from './up.frag.glsl?raw';

/** Pyramid level, fractional, whose spread matches a glow radius given as a share of the shorter side. */
const levelOf = (radius: number): number =>
  Math.min(GLOW_LEVELS - 1, Math.max(0, Math.log2(radius * GLOW_REFERENCE * 0.7)));

/**
 * Up to four glows from one shared pyramid. The picture is first averaged to a fixed reference size; each glow takes the
 * light above its threshold on the level of its own radius, and the levels are gathered upwards through tents.
 */
export class GlowPass {
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

  /** @returns the glow's texture, or null when the piece has none */
  run(renderer: THREE.WebGLRenderer, quad: Quad, targets: Targets, glows: readonly GlowLayer[]): THREE.Texture | null {
    const used = glows.filter((glow) => glow.gain > 0);
    if (used.length === 0) return null;
    const deepest = Math.min(GLOW_LEVELS - 1, Math.ceil(Math.max(...used.map((glow) => levelOf(glow.radius)))));
    this.buildPyramid(renderer, quad, targets, deepest);
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
      quad.draw(renderer, this.upMaterial, targets.glow[j]);
    }
    return targets.glow[0].texture;
  }

  private buildPyramid(renderer: THREE.WebGLRenderer, quad: Quad, targets: Targets, deepest: number): void {
    let source = targets.resolved;
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
    for (const material of [this.shrinkMaterial, this.downMaterial, this.upMaterial]) material.dispose();
  }
}
