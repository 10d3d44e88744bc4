import type { Effect, EffectKind } from '../../core/look/effects/kinds';
import { dither } from './dither/dither';
import { glow } from './glow/glow';
import { grain } from './grain/grain';
import type { EffectProgram } from './program';
import { tone } from './tone/tone';
import { vignette } from './vignette/vignette';

/** The program of every kind of effect. */
const PROGRAMS = { glow, vignette, tone, grain, dither } satisfies {
  [K in EffectKind]: EffectProgram<Extract<Effect, { kind: K }>>;
};

/** The program of a kind. It takes only effects of that kind. */
export const programOf = (kind: EffectKind): EffectProgram<Effect> => PROGRAMS[kind];
