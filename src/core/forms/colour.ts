import { z } from 'zod';
import type { AnimatedColour } from '../colour/animated';
import { controlled, fieldOf, type Field, type Info } from './field';
import { mixedSchema } from './mixed';

export const HexSchema = z.string().regex(/^#[0-9a-f]{6}$/i, { error: 'must be a colour like #12566a' });

/** A colour as #rrggbb, encoded sRGB, which may change over the lap. */
export const colour = (initial: string, info: Info): Field<AnimatedColour> =>
  fieldOf<AnimatedColour>(mixedSchema(HexSchema), initial, controlled('colour', info));
