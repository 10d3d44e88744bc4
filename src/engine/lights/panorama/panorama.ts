import type { LightProgram } from '../program';
import glsl from './panorama.glsl?raw';

export const panorama: LightProgram = { glsl };
