import { z } from 'zod';
import { animated, choice, flag, heading, integer, number, seed, stored, unshown } from '../forms';

/** Fields every treatment has: first these … */
export const treatmentBase = {
  id: stored(z.string().min(1).max(64)),
  off: stored(z.boolean(), false),
};

const reach = heading('Reach', 3);
const placed = { field: 'reach', is: ['point', 'plane'] };
const atPoint = { field: 'reach', is: ['point'] };
const metres = { unit: 'm', min: -10_000, max: 10_000, comfort: 10, group: reach };

/** … and last these: where it acts, and where its chance comes from. */
export const treatmentReach = {
  reach: choice(
    'everywhere',
    {
      everywhere: 'Everywhere',
      point: 'Near a point',
      plane: 'Near a plane across the travel',
      route: 'Near the route',
      order: 'By order',
      noise: 'In patches of noise',
      cells: 'Near the points of cells',
    },
    { label: 'Acts', group: reach, hint: 'Where the treatment acts; it fades between an inner and an outer distance.' },
  ),
  reachAside: animated(0, { label: 'Aside', ...metres, when: atPoint, hint: 'Metres to the right of the route.' }),
  reachAbove: animated(0, { label: 'Above', ...metres, when: atPoint, hint: 'Metres above the route.' }),
  reachAhead: animated(4, {
    label: 'Ahead',
    ...metres,
    when: placed,
    hint: 'Metres from the start of the tile; wound by whole tiles per lap it sweeps through and closes.',
  }),
  reachInner: number(0, {
    label: 'Full within',
    min: 0,
    max: 10_000,
    comfort: 4,
    decimals: 2,
    group: reach,
    when: { field: 'reach', is: ['point', 'plane', 'route', 'order', 'noise', 'cells'] },
    hint: 'Metres from there within which it acts fully; shares from 0 to 1 for order and noise, of a cell for cells.',
  }),
  reachOuter: number(2, {
    label: 'None beyond',
    min: 0,
    max: 10_000,
    comfort: 8,
    decimals: 2,
    group: reach,
    when: { field: 'reach', is: ['point', 'plane', 'route', 'order', 'noise', 'cells'] },
    hint: 'Metres from there beyond which it does nothing; shares from 0 to 1 for order and noise, of a cell for cells.',
  }),
  reachScale: number(3, {
    label: 'Patch size',
    unit: 'm',
    min: 0.05,
    max: 500,
    comfort: 10,
    group: reach,
    when: { field: 'reach', is: ['noise', 'cells'] },
    hint: 'Metres across one patch; fitted so that it tiles.',
  }),
  reachCycles: integer(1, {
    label: 'Evolves',
    perLap: true,
    unit: 'cycles per lap',
    min: 1,
    max: 64,
    comfort: 8,
    group: reach,
    when: { field: 'reach', is: ['noise', 'cells'] },
    hint: 'Most whole cycles the patches make in a lap.',
  }),
  reachInvert: flag(false, {
    label: 'Outside instead',
    group: reach,
    when: { field: 'reach', is: ['point', 'plane', 'route', 'order', 'noise', 'cells'] },
    hint: 'Acts where it otherwise would not.',
  }),
  seed: seed({
    label: 'Seed',
    group: heading('Chance', 4),
    hint: 'Another seed gives another chance of the same kind.',
  }),
};

/** The same for what acts on a whole layer: kept in documents, but not offered. */
export const noReach = unshown(treatmentReach);
