import * as THREE from 'three';

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
