import { z } from 'zod';
import type { Stretch } from '../motion/differences';
import { MOST_FRAMES } from '../motion/motion';
import { controlled, fieldOf, type Field, type Info } from './field';

/** Frames of something that is gone through over and over: the last gives way to the first. */
const StretchSchema = z
  .object({ from: z.number().int().min(0).max(MOST_FRAMES), to: z.number().int().min(0).max(MOST_FRAMES) })
  .refine(({ from, to }) => from <= to, { error: 'must not end before it begins' });

/** A stretch of the motion that the field beside it, `motion`, names; null for the one that closes best. */
export const stretch = (info: Info): Field<Stretch | null> =>
  fieldOf(StretchSchema.nullable(), null, controlled('stretch', info));
