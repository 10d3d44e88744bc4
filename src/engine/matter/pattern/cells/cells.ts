import type { PatternProgram } from '../program';
import glsl from './cells.glsl?raw';

export const cells: PatternProgram = { noise: true, glsl };
