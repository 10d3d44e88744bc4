import { z } from 'zod';
import { MOST_STOPS, type AnimatedGradient } from '../colour/animated';
import type { Gradient } from '../colour/colour';
import { HexSchema } from './colour';
import { controlled, fieldOf, type Field, type Info } from './field';
import { mixedSchema } from './mixed';

const GradientSchema = z
  .array(z.object({ at: z.number().min(0).max(1), colour: HexSchema }))
  .min(1)
  .max(MOST_STOPS);

/** Colours evenly spread from first to last. */
export const ramp = (...colours: readonly string[]): Gradient =>
  colours.map((hex, index) => ({ at: colours.length > 1 ? index / (colours.length - 1) : 0, colour: hex }));

/** Colours between which others lie, which may change over the lap. */
export const gradient = (initial: readonly string[], info: Info): Field<AnimatedGradient> =>
  fieldOf<AnimatedGradient>(mixedSchema(GradientSchema), ramp(...initial), controlled('gradient', info));
