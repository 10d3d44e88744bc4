import { z } from 'zod';
import { controlled, fieldOf, type Field, type Info } from './field';

/** On or off. */
export const flag = (initial: boolean, info: Info): Field<boolean> =>
  fieldOf(z.boolean(), initial, controlled('switch', info));
