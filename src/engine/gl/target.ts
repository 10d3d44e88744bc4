import * as THREE from 'three';

/** Depth in metres where there is no matter. */
export const NOWHERE = 1e9;

/** Empties a target that light is added in. */
export function emptyLight(renderer: THREE.WebGLRenderer, target: THREE.WebGLRenderTarget): void {
  renderer.setRenderTarget(target);
  renderer.setClearColor(0x000000, 0);
  renderer.clear(true, false, false);
}

/** Empties a target that matter is kept in: nothing is seen in it yet. */
export function emptyMatter(renderer: THREE.WebGLRenderer, target: THREE.WebGLRenderTarget): void {
  renderer.setRenderTarget(target);
  renderer.setClearColor(0x000000, NOWHERE);
  renderer.clear(true, true, false);
}

/** A target of float32 colours. */
export const floatTarget = (width: number, height: number, depthBuffer = false): THREE.WebGLRenderTarget =>
  new THREE.WebGLRenderTarget(Math.max(1, Math.round(width)), Math.max(1, Math.round(height)), {
    type: THREE.FloatType,
    format: THREE.RGBAFormat,
    minFilter: THREE.LinearFilter,
    magFilter: THREE.LinearFilter,
    depthBuffer,
    generateMipmaps: false,
  });
