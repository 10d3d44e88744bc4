import * as THREE from 'three';
import type { Piece } from '../../../core/piece/schema';
import { joinSources } from '../../../core/kernel/kernel';
import { sources as hashSources } from '../../../core/random/hash.gen';
import { evaluateAnimated } from '../../../core/time/animated';
import { fullscreenMaterial, type Quad } from '../../gl/quad';
import finishFragment from './finish.frag.glsl?raw';

const CURVES = { soft: 0, deep: 1, straight: 2 } as const;

/** From linear light to the display's code values. */
export class FinishPass {
  private readonly material = fullscreenMaterial(joinSources(hashSources) + finishFragment, {
    uPictureLight: { value: null },
    uGlow: { value: null },
    uHasGlow: { value: false },
    uExposure: { value: 1 },
    uCurve: { value: 0 },
    uSaturation: { value: 1 },
    uVignette: { value: 0 },
    uGrain: { value: 0 },
    uGrainCell: { value: 1 },
    uDither: { value: 0 },
    uFrame: { value: 0 },
    uPicture: { value: new THREE.Vector2() },
  });

  /** @param texture draw grain and dither; off for the seam report, which must not see them */
  run(
    renderer: THREE.WebGLRenderer,
    quad: Quad,
    source: THREE.WebGLRenderTarget,
    glow: THREE.Texture | null,
    target: THREE.WebGLRenderTarget | null,
    piece: Piece,
    frameIndex: number,
    phase: number,
    texture: boolean,
  ): void {
    const { look, lap } = piece;
    const u = this.material.uniforms;
    u.uPictureLight.value = source.texture;
    u.uGlow.value = glow;
    u.uHasGlow.value = glow !== null;
    u.uExposure.value = 2 ** evaluateAnimated(look.exposure, phase);
    u.uCurve.value = CURVES[look.curve];
    u.uSaturation.value = look.saturation;
    u.uVignette.value = look.vignette;
    u.uGrain.value = texture ? look.grain : 0;
    u.uGrainCell.value = look.grainSize * Math.min(source.width, source.height);
    u.uDither.value = texture && look.dither ? 1 : 0;
    u.uFrame.value = ((frameIndex % lap.frames) + lap.frames) % lap.frames;
    (u.uPicture.value as THREE.Vector2).set(source.width, source.height);
    quad.draw(renderer, this.material, target);
  }

  dispose(): void {
    this.material.dispose();
  }
}
