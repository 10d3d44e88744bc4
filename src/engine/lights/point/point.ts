import type { LightProgram } from '../program';
import glsl from './point.glsl?raw';

export const point: LightProgram = { glsl, air: { cosine: '-1.0' } };
