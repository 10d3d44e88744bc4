import { z } from 'zod';
import type { Gradient } from '../colour/colour';
import { HexSchema } from './colour';
import { controlled, fieldOf, type Field, type Info } from './field';

const GradientSchema = z
  .array(z.object({ at: z.number().min(0).max(1), colour: HexSchema }))
  .min(1)
  .max(12);

/** Colours evenly spread from first to last. */
export const ramp = (...colours: readonly string[]): Gradient =>
  colours.map((hex, index) => ({ at: colours.length > 1 ? index / (colours.length - 1) : 0, colour: hex }));

/** Colours between which others lie. */
export const gradient = (initial: readonly string[], info: Info): Field<Gradient> =>
  fieldOf<Gradient>(GradientSchema, ramp(...initial), controlled('gradient', info));
