import { z } from 'zod';
import { controlled, fieldOf, type Field, type Info } from './field';

/** Some text. @param most letters it may have; @param lines whether it may have several */
export const text = (
  initial: string,
  { most, lines, ...info }: Info & { most: number; lines?: boolean },
): Field<string> =>
  fieldOf(
    z
      .string()
      .max(most, { error: `has at most ${most} letters` })
      .refine((value) => lines === true || !value.includes('\n'), { error: 'has one line' }),
    initial,
    controlled(lines ? 'lines' : 'text', info),
  );
