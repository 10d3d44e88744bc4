import type { MatterProgram } from '../program';
import glsl from './emission.glsl?raw';

export const emission: MatterProgram = { light: 'own', opaque: true, glsl };
