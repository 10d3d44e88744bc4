import * as THREE from 'three';
import { fullscreenMaterial } from '../../gl/quad';
import { floatTarget } from '../../gl/target';
import type { Gpu } from '../../gl/gpu';
import downFragment from './down.frag.glsl?raw';

/** Shorter side of the picture on which bright light is measured, in pixels: fixed, so that a look does not change with size. */
const REFERENCE = 270;
/** Reach of the taps that halve a picture, in its texels: see down.frag.glsl. */
export const HALVING = 0.75;

/** Draws a picture at half its size, or at a little less. */
export class Halver {
  private readonly material = fullscreenMaterial(downFragment, {
    uSource: { value: null },
    uReach: { value: new THREE.Vector2() },
  });

  constructor(private readonly gpu: Gpu) {}

  /** @param reach of its taps, in texels of the source. @returns the target */
  draw(source: THREE.WebGLRenderTarget, target: THREE.WebGLRenderTarget, reach: number): THREE.WebGLRenderTarget {
    const { uSource, uReach } = this.material.uniforms;
    uSource.value = source.texture;
    (uReach.value as THREE.Vector2).set(reach / source.width, reach / source.height);
    this.gpu.quad.draw(this.gpu.renderer, this.material, target);
    return target;
  }

  dispose(): void {
    this.material.dispose();
  }
}

/** The picture shrunk by halves, and by less at last, to a fixed reference size. */
export class Reference {
  /** none when it is no larger */
  private readonly shrink: THREE.WebGLRenderTarget[] = [];
  /** shorter side of the picture that is measured on, in pixels */
  readonly side: number;
  /** its size over the picture's */
  readonly scale: number;

  constructor(
    readonly width: number,
    readonly height: number,
  ) {
    const shorter = Math.min(width, height);
    this.side = Math.min(shorter, REFERENCE);
    this.scale = this.side / shorter;
    for (let factor = 0.5; factor > this.scale; factor /= 2)
      this.shrink.push(floatTarget(width * factor, height * factor));
    if (this.scale < 1) this.shrink.push(floatTarget(width * this.scale, height * this.scale));
  }

  /** The picture at the reference size: itself where it is no larger. */
  of(light: THREE.WebGLRenderTarget, halver: Halver): THREE.WebGLRenderTarget {
    return this.shrink.reduce((source, target) => {
      // a last step by less than a half needs less of its neighbours
      const ratio = source.height / target.height;
      return halver.draw(source, target, HALVING * Math.min(1, ratio - 1));
    }, light);
  }

  dispose(): void {
    for (const target of this.shrink) target.dispose();
  }
}
