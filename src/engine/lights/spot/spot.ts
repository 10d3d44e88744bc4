import type { LightProgram } from '../program';
import glsl from './spot.glsl?raw';

export const spot: LightProgram = { glsl, air: { cosine: 'light.a.x' } };
