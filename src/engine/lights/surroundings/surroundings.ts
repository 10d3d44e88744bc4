import type { LightProgram } from '../program';
import glsl from './surroundings.glsl?raw';

export const surroundings: LightProgram = { glsl };
