import * as THREE from 'three';
import { gradientTableAt, type AnimatedGradient } from '../../core/colour/animated';

/** Room for the colours of a gradient, on the GPU. */
export function gradientTexture(): THREE.DataTexture {
  const texture = new THREE.DataTexture(new Float32Array(256 * 4), 256, 1, THREE.RGBAFormat, THREE.FloatType);
  texture.magFilter = texture.minFilter = THREE.LinearFilter;
  return texture;
}

const held = new WeakMap<THREE.DataTexture, Float32Array>();

/** Writes a gradient as it is at a phase into its texture, unless it holds it already. */
export function fillGradient(texture: THREE.DataTexture, gradient: AnimatedGradient, phase: number): void {
  const table = gradientTableAt(gradient, phase);
  if (held.get(texture) === table) return;
  held.set(texture, table);
  (texture.image.data as Float32Array).set(table);
  texture.needsUpdate = true;
}
