import type { MatterProgram } from '../program';
import glsl from './film.glsl?raw';

export const film: MatterProgram = { glsl };
