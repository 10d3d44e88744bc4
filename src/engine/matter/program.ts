import type * as THREE from 'three';
import { joinSources } from '../../core/kernel/kernel';
import type { MatterKind } from '../../core/matter/kinds';
import { sources as hashSources } from '../../core/random/hash.gen';
import skySource from '../drawings/dome/sky.glsl?raw';
import { lightsProgram } from '../lights/program';
import brdfSource from './brdf.glsl?raw';
import { PROGRAMS } from './list';
import shadeSource from './shade.glsl?raw';

/** How one kind of matter looks: GLSL with `vec3 shade(Body b, out float opaque)`, the light that it gives and how far it is there. */
export interface MatterProgram {
  glsl: string;
}

/** What shading a kind of matter needs in front of it: lights, and its own `shade`. */
export function matterSource(kind: MatterKind): string {
  const { glsl }: MatterProgram = PROGRAMS[kind];
  return joinSources(hashSources) + skySource + brdfSource + lightsProgram() + shadeSource + glsl;
}

/** Matter hides what is behind it. */
export const SOLID: Partial<THREE.ShaderMaterialParameters> = { depthTest: true, depthWrite: true };
