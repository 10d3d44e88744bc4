import { number, stored } from '../forms';
import { z } from 'zod';

/** Fields of whatever a panel shows. */
export const shared = {
  id: stored(z.string().min(1).max(64)),
  weight: number(1, {
    label: 'Weight',
    min: 0,
    max: 1000,
    comfort: 4,
    decimals: 2,
    hint: 'How many panels show it against the others, where they are dealt by weight.',
  }),
};

/** Of the file itself: brought in by the user, so neither another preset nor siblings change it. */
export const ofFile = { given: true, kept: true };
