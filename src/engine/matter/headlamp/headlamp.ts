import type { MatterProgram } from '../program';
import glsl from './headlamp.glsl?raw';

export const headlamp: MatterProgram = { light: 'own', opaque: true, glsl };
