import { z } from 'zod';
import { controlled, fieldOf, type Field, type Info } from './field';

/** Where chance comes from. */
export const seed = (info: Info): Field<number> =>
  fieldOf(z.int().min(0).max(0xffffffff), 1, controlled('seed', { min: 0, max: 0xffffffff, ...info }));
