import type { MatterProgram } from '../program';
import glsl from './modelled.glsl?raw';

export const modelled: MatterProgram = { light: 'lit', opaque: true, glsl };
