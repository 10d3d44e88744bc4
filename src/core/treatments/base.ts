import { z } from 'zod';
import { animated, choice, flag, integer, number, seed, statedValues } from '../piece/fields';
import type { LayerExtent } from '../layers/definition';
import type { Animated } from '../time/animated';

/** Fields every treatment has: first these … */
export const treatmentBase = {
  id: z.string().min(1).max(64),
  off: z.boolean().default(false),
};

const reach = 'Reach';
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
    when: { field: 'reach', is: ['point', 'plane', 'route', 'order', 'noise'] },
    hint: 'Metres from there within which it acts fully; shares from 0 to 1 for order and noise.',
  }),
  reachOuter: number(2, {
    label: 'None beyond',
    min: 0,
    max: 10_000,
    comfort: 8,
    decimals: 2,
    group: reach,
    when: { field: 'reach', is: ['point', 'plane', 'route', 'order', 'noise'] },
    hint: 'Metres from there beyond which it does nothing; shares from 0 to 1 for order and noise.',
  }),
  reachScale: number(3, {
    label: 'Patch size',
    unit: 'm',
    min: 0.05,
    max: 500,
    comfort: 10,
    group: reach,
    when: { field: 'reach', is: ['noise'] },
    hint: 'Metres across one patch; fitted so that it tiles.',
  }),
  reachCycles: integer(1, {
    label: 'Evolves',
    unit: 'cycles per lap',
    min: 1,
    max: 64,
    comfort: 8,
    group: reach,
    when: { field: 'reach', is: ['noise'] },
    hint: 'Most whole cycles the patches make in a lap.',
  }),
  reachInvert: flag(false, {
    label: 'Outside instead',
    group: reach,
    when: { field: 'reach', is: ['point', 'plane', 'route', 'order', 'noise'] },
    hint: 'Acts where it otherwise would not.',
  }),
  seed: seed({ label: 'Seed', group: 'Chance', hint: 'Another seed gives another chance of the same kind.' }),
};

/** The same for what acts on a whole layer: kept in documents, but not offered. */
export const noReach = Object.fromEntries(
  Object.entries(treatmentReach).map(([name, field]) => [
    name,
    field.meta({ ...field.meta(), control: undefined } as never),
  ]),
) as unknown as typeof treatmentReach;

/** The largest size of a number an animated value states, either way. */
export const largest = (value: Animated): number =>
  Math.max(
    ...statedValues(value).map(Math.abs),
    // a wound value goes on: one lap of it is what is shown, but repairs and notes may look at two
    typeof value === 'number' || value.law !== 'wound' ? 0 : Math.abs(value.start) + Math.abs(value.perLap),
  );

/** An extent that lets its elements be carried some metres farther. */
export const carriedFarther = (extent: LayerExtent, metres: number): LayerExtent => ({
  ...extent,
  carried: extent.carried + metres,
});

/** An extent whose elements may be anywhere within `radius` of its middle, in every direction. */
export const rounded = (extent: LayerExtent, radius: number): LayerExtent => {
  const middle = (extent.from + extent.to) / 2;
  return {
    ...extent,
    halfWidth: Math.max(extent.halfWidth, radius),
    halfHeight: Math.max(extent.halfHeight, radius),
    from: Math.min(extent.from, middle - radius),
    to: Math.max(extent.to, middle + radius),
  };
};

/** The largest sine of angles up to so many turns. */
export const sineOf = (turns: number): number => Math.sin(2 * Math.PI * Math.min(0.25, turns));

/** Half the diagonal of an extent in metres. */
export const halfDiagonal = (extent: LayerExtent): number =>
  Math.hypot(extent.halfWidth, extent.halfHeight, (extent.to - extent.from) / 2);

/** The middle of an extent as a position. */
export const middleOf = (extent: LayerExtent): [number, number, number] => [
  extent.centre[0],
  extent.centre[1],
  -(extent.from + extent.to) / 2,
];

/** Noise scale per axis and its period: the number of patches along the tile is whole, across it is free. */
export function fitNoise(metres: number, tile: number): { scale: number[]; period: number[] } {
  const along = Math.max(2, Math.round(tile / metres));
  return { scale: [1 / metres, 1 / metres, along / tile], period: [512, 512, along] };
}
