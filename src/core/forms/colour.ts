import { z } from 'zod';
import { controlled, fieldOf, type Field, type Info } from './field';

export const HexSchema = z.string().regex(/^#[0-9a-f]{6}$/i, { error: 'must be a colour like #12566a' });

/** A colour as #rrggbb, encoded sRGB. */
export const colour = (initial: string, info: Info): Field<string> =>
  fieldOf(HexSchema, initial, controlled('colour', info));
