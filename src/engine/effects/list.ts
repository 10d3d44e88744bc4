import type { Effect, EffectKind } from '../../core/look/effects/kinds';
import { dither } from './dither/dither';
import { glow } from './glow/glow';
import { grain } from './grain/grain';
import type { EffectProgram } from './program';
import { tone } from './tone/tone';
import { vignette } from './vignette/vignette';

/** The program of every kind of effect: the compiler asks for one of each. */
export const PROGRAMS = { glow, vignette, tone, grain, dither } satisfies {
  [K in EffectKind]: EffectProgram<Extract<Effect, { kind: K }>>;
};
