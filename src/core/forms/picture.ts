import { z } from 'zod';
import { MOST_PIXELS, pixmapOf } from '../pictures/pixmap';
import { controlled, fieldOf, type Field, type Info } from './field';

/** A small picture kept in the piece as a portable pixmap; empty for the one that is made by us. */
export const picture = (info: Info): Field<string> =>
  fieldOf(
    z.string().refine((url) => url === '' || pixmapOf(url) !== null, {
      error: `must be a portable pixmap of at most ${MOST_PIXELS} pixels a side`,
    }),
    '',
    controlled('picture', info),
  );
