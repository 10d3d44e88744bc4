import { z } from 'zod';
import { seed } from '../piece/fields';

/** Fields every layer has. */
export const layerBase = {
  id: z.string().min(1).max(64),
  name: z.string().max(120),
  hidden: z.boolean().default(false),
  /** share of the final count drawn while working */
  working: z.number().min(0.01).max(1).default(1),
};

/** The last field of every layer: where its randomness comes from. */
export const layerSeed = {
  seed: seed({ label: 'Seed', hint: 'Another seed gives another arrangement of the same kind.', group: 'Chance' }),
};
