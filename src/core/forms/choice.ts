import { z } from 'zod';
import { controlled, fieldOf, type Field, type Info } from './field';

/** One of several, each with the words for it. Choices that kernels tell apart have their numbers from there (`@choice`). */
export const choice = <const T extends Readonly<Record<string, string>>>(
  initial: keyof T & string,
  choices: T,
  info: Info,
): Field<keyof T & string> =>
  fieldOf<keyof T & string>(
    z.enum(Object.keys(choices) as (keyof T & string)[]),
    initial,
    controlled('choice', info, { choices }),
  );
