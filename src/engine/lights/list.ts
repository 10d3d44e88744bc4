import type { LightKind } from '../../core/look/lights/kinds';
import type { LightProgram } from './program';
import { farBox } from './farBox/farBox';
import { panorama } from './panorama/panorama';
import { point } from './point/point';
import { softBox } from './softBox/softBox';
import { spot } from './spot/spot';
import { sun } from './sun/sun';
import { surroundings } from './surroundings/surroundings';

/** The program of every kind of light: the compiler asks for one of each. */
export const PROGRAMS = { spot, softBox, point, sun, panorama, farBox, surroundings } satisfies Record<
  LightKind,
  LightProgram
>;
