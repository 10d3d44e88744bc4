import type { LightProgram } from '../program';
import glsl from './sun.glsl?raw';

export const sun: LightProgram = { glsl };
