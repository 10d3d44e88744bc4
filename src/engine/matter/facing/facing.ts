import type { MatterProgram } from '../program';
import glsl from './facing.glsl?raw';

export const facing: MatterProgram = { light: 'lit', opaque: true, glsl };
