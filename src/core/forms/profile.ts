import { z } from 'zod';
import { controlled, fieldOf, type Field, type Info } from './field';
import { inRange, rangeWords } from './number';

/** A curve over 0..1 as eight equally spaced values: see space/profile.glsl. */
export const profile = (initial: readonly number[], info: Info): Field<number[]> =>
  fieldOf(
    z
      .array(z.number())
      .length(8)
      .refine((values) => inRange(info, values), { error: rangeWords(info) }),
    [...initial],
    controlled('profile', info),
  );

/** The two halves of a profile, as kernels take it. */
export const profileHalves = (
  p: readonly number[],
): [[number, number, number, number], [number, number, number, number]] => [
  [p[0], p[1], p[2], p[3]],
  [p[4], p[5], p[6], p[7]],
];
