import { dither } from './dither/dither';
import { glow } from './glow/glow';
import { grain } from './grain/grain';
import { tone } from './tone/tone';
import { vignette } from './vignette/vignette';

/** Every kind of effect, in the order they are offered. A new kind is a folder and its name here, and its program in engine/effects. */
export const LIST = [glow, vignette, tone, grain, dither] as const;
