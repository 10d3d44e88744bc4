import type { Effect, EffectKind } from '../../core/look/effects/kinds';
import { PROGRAMS } from './list';
import type { EffectProgram } from './program';

/** The program of a kind. It takes only effects of that kind. */
export const programOf = (kind: EffectKind): EffectProgram<Effect> => PROGRAMS[kind];
