import type { LightProgram } from '../program';
import glsl from './softBox.glsl?raw';

export const softBox: LightProgram = { shines: 'from', glsl };
