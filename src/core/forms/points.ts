import { z } from 'zod';
import { controlled, fieldOf, type Field, type Info } from './field';

const metre = z.number().min(-10_000).max(10_000);
const PlaceSchema = z.object({ id: z.string().min(1).max(64), aside: metre, above: metre, ahead: metre });
/** A point of a curve that is drawn in the map, metres from the start of the tile. */
export type CurvePoint = z.infer<typeof PlaceSchema>;

/** The most points a drawn curve has. */
export const MOST_POINTS = 64;

/** The points of a curve, each aside, above, ahead; the map shows them. */
export const points = (initial: readonly (readonly [number, number, number])[], info: Info): Field<CurvePoint[]> =>
  fieldOf(
    z
      .array(PlaceSchema)
      .min(2, { error: 'needs two points at least' })
      .max(MOST_POINTS, { error: `has at most ${MOST_POINTS} points` }),
    initial.map(([aside, above, ahead], i) => ({ id: `p${i + 1}`, aside, above, ahead })),
    controlled('points', info),
  );
