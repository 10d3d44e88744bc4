import type * as THREE from 'three';
import { joinSources } from '../../core/kernel/kernel';
import { sources as hashSources } from '../../core/random/hash.gen';
import shadeSource from '../matter/shade.glsl?raw';
import skySource from './dome/sky.glsl?raw';

/** What shading matter needs in front of it. */
export const LIT = joinSources(hashSources) + skySource + shadeSource;

/** Matter hides what is behind it. */
export const SOLID: Partial<THREE.ShaderMaterialParameters> = { depthTest: true, depthWrite: true };
