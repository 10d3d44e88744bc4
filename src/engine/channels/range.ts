import * as THREE from 'three';
import type { Gpu } from '../gl/gpu';
import { fullscreenMaterial } from '../gl/quad';
import { floatTarget } from '../gl/target';
import rangeFragment from './range.frag.glsl?raw';

/** Paints over a picture where it is at the ends of its range. */
export class RangePaint {
  private picture: THREE.WebGLRenderTarget | null = null;
  private readonly material = fullscreenMaterial(rangeFragment, { uPicture: { value: null } });

  constructor(private readonly gpu: Gpu) {}

  /** @param shown draws the picture without what is noise by nature */
  draw(
    { width, height }: { width: number; height: number },
    shown: (target: THREE.WebGLRenderTarget) => void,
    to: THREE.WebGLRenderTarget | null,
  ): void {
    if (this.picture?.width !== width || this.picture.height !== height) {
      this.picture?.dispose();
      this.picture = floatTarget(width, height);
    }
    shown(this.picture);
    this.material.uniforms.uPicture.value = this.picture.texture;
    this.gpu.quad.draw(this.gpu.renderer, this.material, to);
  }

  dispose(): void {
    this.picture?.dispose();
    this.material.dispose();
  }
}
