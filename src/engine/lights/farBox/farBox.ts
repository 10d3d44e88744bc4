import type { LightProgram } from '../program';
import glsl from './farBox.glsl?raw';

export const farBox: LightProgram = { glsl };
