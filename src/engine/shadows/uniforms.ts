import * as THREE from 'three';
import { MOST_AROUND, MOST_FLAT } from './slots';

/** What the programs know of shadows. */
export const shadowUniforms = () => ({
  uShadowMap: { value: null as THREE.Texture | null },
  uShadowSide: { value: 1 },
  uShadowColumns: { value: 1 },
  uShadowView: { value: Array.from({ length: MOST_FLAT }, () => new THREE.Matrix4()) },
  uShadowLens: { value: Array.from({ length: MOST_FLAT }, () => new THREE.Vector4()) },
  uShadowEye: { value: Array.from({ length: MOST_AROUND }, () => new THREE.Vector3()) },
  uShadowFocal: { value: 1 },
});
