import type { MatterProgram } from '../program';
import glsl from './sides.glsl?raw';

export const sides: MatterProgram = { light: 'own', opaque: true, glsl };
