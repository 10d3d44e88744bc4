import type { PatternProgram } from '../program';
import glsl from './flow.glsl?raw';

export const flow: PatternProgram = { noise: true, glsl };
