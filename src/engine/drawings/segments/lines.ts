import * as THREE from 'three';
import hidingSource from '../../frame/hiding.glsl?raw';
import viewSource from '../../frame/view.glsl?raw';
import type { Gpu, Uniforms } from '../../gl/gpu';
import { ADDITIVE, rawMaterial } from '../../gl/quad';
import type { LightTargets, LitPart } from '../drawing';
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
  return new THREE.Mesh(geometry, rawMaterial(head + viewSource + vertex, hidingSource + fragment, uniforms, options));
}

/** Room for pairs of elements by number. */
export function pairAttribute(pairs: Uint32Array): THREE.InstancedBufferAttribute {
  const attribute = new THREE.InstancedBufferAttribute(pairs, 2);
  attribute.gpuType = THREE.IntType;
  return attribute;
}

/** Draws lines wherever they are seen, into every target that their blur may belong to. */
export function drawLines(
  { stage, renderer }: Gpu,
  mesh: THREE.Mesh,
  offset: THREE.IUniform<number>,
  at: readonly LitPart[],
  { level }: LightTargets,
): void {
  for (const part of at) {
    offset.value = part.offset;
    for (const n of part.levels) stage.draw(renderer, mesh, level(n));
  }
}
