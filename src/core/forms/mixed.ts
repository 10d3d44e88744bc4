import { z } from 'zod';
import { apart, EaseSchema, WaveSchema } from '../time/animated';
import type { Mixed } from '../time/mixed';

/** What takes a mixed value, given what takes each of its own. */
export const mixedSchema = <V>(own: z.ZodType<V>): z.ZodType<Mixed<V>> =>
  z.union([
    own,
    z.object({
      law: z.literal('keyed'),
      keys: z
        .array(z.object({ id: z.string().max(64), at: z.number().min(0).lt(1), value: own, ease: EaseSchema }))
        .min(1)
        .max(100)
        .overwrite(apart),
    }),
    z.object({
      law: z.literal('swing'),
      from: own,
      to: own,
      cycles: z.number().min(0).max(1000),
      wave: WaveSchema,
      shift: z.number().min(-1e6).max(1e6),
    }),
    z.object({ law: z.literal('wound'), start: own, perLap: z.number().min(-1000).max(1000) }),
  ]);
