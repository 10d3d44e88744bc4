import type * as THREE from 'three';
import { joinSources } from '../../core/kernel/kernel';
import { sources as hashSources } from '../../core/random/hash.gen';
import { lightsProgram } from '../lights/program';
import brdfSource from '../matter/brdf.glsl?raw';
import shadeSource from '../matter/shade.glsl?raw';
import skySource from './dome/sky.glsl?raw';

/** What shading matter needs in front of it. */
export const litSource = (): string =>
  joinSources(hashSources) + skySource + brdfSource + lightsProgram() + shadeSource;

/** Matter hides what is behind it. */
export const SOLID: Partial<THREE.ShaderMaterialParameters> = { depthTest: true, depthWrite: true };
