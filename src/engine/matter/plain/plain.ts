import type { MatterProgram } from '../program';
import glsl from './plain.glsl?raw';

export const plain: MatterProgram = { light: 'lit', opaque: true, coats: true, glsl };
