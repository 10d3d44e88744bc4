import * as THREE from 'three';
import { gradientTable, type Gradient } from '../../core/colour/colour';

/** Room for the colours of a gradient, on the GPU. */
export function gradientTexture(): THREE.DataTexture {
  const texture = new THREE.DataTexture(new Float32Array(256 * 4), 256, 1, THREE.RGBAFormat, THREE.FloatType);
  texture.magFilter = texture.minFilter = THREE.LinearFilter;
  return texture;
}

/** Writes a gradient into its texture, unless it holds it already. */
export function fillGradient(texture: THREE.DataTexture, gradient: Gradient): void {
  const key = JSON.stringify(gradient);
  if (texture.name === key) return;
  texture.name = key;
  (texture.image.data as Float32Array).set(gradientTable(gradient));
  texture.needsUpdate = true;
}
