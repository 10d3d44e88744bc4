import * as THREE from 'three';
import viewSource from '../../frame/view.glsl?raw';
import { ADDITIVE, rawMaterial } from '../../gl/quad';
import type { Uniforms } from '../../gl/gpu';
import fragment from './segments.frag.glsl?raw';
import vertex from './segments.vert.glsl?raw';

/** Lines between pairs of elements, each as four corners. @param head put in front of the vertex program */
export function linesMesh(
  uniforms: Uniforms,
  head = '',
): THREE.Mesh<THREE.InstancedBufferGeometry, THREE.RawShaderMaterial> {
  const geometry = new THREE.InstancedBufferGeometry();
  geometry.setIndex([0, 1, 2, 2, 1, 3]);
  const options = { ...ADDITIVE, side: THREE.DoubleSide };
  return new THREE.Mesh(geometry, rawMaterial(head + viewSource + vertex, fragment, uniforms, options));
}

/** Room for pairs of elements by number. */
export function pairAttribute(pairs: Uint32Array): THREE.InstancedBufferAttribute {
  const attribute = new THREE.InstancedBufferAttribute(pairs, 2);
  attribute.gpuType = THREE.IntType;
  return attribute;
}
