import type { MatterProgram } from '../program';
import glsl from './film.glsl?raw';

// how far it is there follows from the light it gives back, so that is worked out at once
export const film: MatterProgram = { shines: true, opaque: false, glsl };
