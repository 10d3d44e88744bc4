import type { LightKind } from '../../core/look/lights/kinds';
import type { LightProgram } from './program';
import { softBox } from './softBox/softBox';
import { sun } from './sun/sun';
import { surroundings } from './surroundings/surroundings';

/** The program of every kind of light: the compiler asks for one of each. */
export const PROGRAMS = { sun, softBox, surroundings } satisfies Record<LightKind, LightProgram>;
