import type * as THREE from 'three';
import type { Gpu } from '../gl/gpu';
import { Sized } from '../gl/sized';
import { fullscreenMaterial } from '../gl/quad';
import { floatTarget } from '../gl/target';
import rangeFragment from './range.frag.glsl?raw';

/** Paints over a picture where it is at the ends of its range. */
export class RangePaint {
  private readonly pictures = new Sized((width, height) => floatTarget(width, height));
  private readonly material = fullscreenMaterial(rangeFragment, { uPicture: { value: null } });

  constructor(private readonly gpu: Gpu) {}

  /** @param shown draws the picture without what is noise by nature */
  draw(
    size: { width: number; height: number },
    shown: (target: THREE.WebGLRenderTarget) => void,
    to: THREE.WebGLRenderTarget | null,
  ): void {
    const picture = this.pictures.at(size);
    shown(picture);
    this.material.uniforms.uPicture.value = picture.texture;
    this.gpu.quad.draw(this.gpu.renderer, this.material, to);
  }

  dispose(): void {
    this.pictures.dispose();
    this.material.dispose();
  }
}
