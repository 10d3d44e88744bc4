import * as THREE from 'three';
import type { Gpu } from '../gl/gpu';
import { fullscreenMaterial } from '../gl/quad';

const FRAGMENT = `
uniform sampler2D uPicture;
in vec2 vUv;
out vec4 outColour;
void main() { outColour = vec4(texture(uPicture, vec2(vUv.x, 1.0 - vUv.y)).rgb, 1.0); }
`;

/** A picture that is there already, on the canvas. */
export class ShownPicture {
  private readonly material = fullscreenMaterial(FRAGMENT, { uPicture: { value: null } });
  private texture: THREE.Texture | null = null;

  constructor(private readonly gpu: Gpu) {}

  draw(picture: ImageBitmap): void {
    const size = this.texture?.image as { width: number; height: number } | undefined;
    if (!this.texture || size?.width !== picture.width || size.height !== picture.height) {
      this.texture?.dispose();
      this.texture = new THREE.Texture(picture);
      this.texture.minFilter = THREE.LinearFilter;
      this.texture.generateMipmaps = false;
    }
    this.texture.image = picture;
    this.texture.needsUpdate = true;
    this.material.uniforms.uPicture.value = this.texture;
    this.gpu.quad.draw(this.gpu.renderer, this.material, null);
  }

  dispose(): void {
    this.texture?.dispose();
    this.material.dispose();
  }
}
