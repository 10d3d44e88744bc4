import * as THREE from 'three';

/** A sky, as everything knows it that reflects it; without one the first number is 0. */
export const skyUniforms = () => ({
  uSkyGradient: { value: null as THREE.Texture | null },
  /** brightness, tightness, clouds, where they have got to */
  uSky: { value: new THREE.Vector4(0, 1, 0, 0) },
  /** how many, how bright, how much they twinkle, phase */
  uStars: { value: new THREE.Vector4() },
  uSkySeed: { value: 0 },
});

/** There is none. */
export function clearSky({ uSky, uSkyGradient }: ReturnType<typeof skyUniforms>): void {
  uSky.value.set(0, 1, 0, 0);
  uSkyGradient.value = null;
}
