import * as THREE from 'three';
import type { LightProgram } from '../program';
import { LOBES, LOBES_SIDE } from './lobes';
import glsl from './softBox.glsl?raw';

/** The table of lobes: of each its matrix on the left, its size and what of it is there at grazing angles on the right. */
export function lobesTexture(): THREE.DataTexture {
  const numbers = new Float32Array(Uint8Array.from(atob(LOBES), (c) => c.charCodeAt(0)).buffer);
  const texels = new Float32Array(2 * LOBES_SIDE * LOBES_SIDE * 4);
  for (let row = 0; row < LOBES_SIDE; row++)
    for (let column = 0; column < LOBES_SIDE; column++) {
      const own = numbers.subarray((row * LOBES_SIDE + column) * 6, (row * LOBES_SIDE + column + 1) * 6);
      texels.set(own.subarray(0, 4), (row * 2 * LOBES_SIDE + column) * 4);
      texels.set(own.subarray(4), (row * 2 * LOBES_SIDE + LOBES_SIDE + column) * 4);
    }
  const texture = new THREE.DataTexture(texels, 2 * LOBES_SIDE, LOBES_SIDE, THREE.RGBAFormat, THREE.FloatType);
  texture.minFilter = texture.magFilter = THREE.LinearFilter;
  texture.needsUpdate = true;
  return texture;
}

export const softBox: LightProgram = {
  glsl: `const float LOBES_SIDE = ${LOBES_SIDE}.0;
${glsl}`,
};
