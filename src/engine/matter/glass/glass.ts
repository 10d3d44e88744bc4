import type { MatterProgram } from '../program';
import glsl from './glass.glsl?raw';

export const glass: MatterProgram = { light: 'worked out', opaque: true, behind: true, glsl };
