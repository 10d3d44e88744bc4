import { z } from 'zod';
import { controlled, fieldOf, type Field, type Info } from './field';

/** A closed outline of points [x, y], −1..1. */
export const outline = (initial: readonly (readonly [number, number])[], info: Info): Field<[number, number][]> =>
  fieldOf(
    z
      .array(z.tuple([z.number().min(-4).max(4), z.number().min(-4).max(4)]))
      .min(3, { error: 'needs three points' })
      .max(64, { error: 'has at most 64 points' }),
    initial.map(([x, y]): [number, number] => [x, y]),
    controlled('outline', info),
  );
