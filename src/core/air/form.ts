import { animated, choice, colour, form, heading, integer, number, seed, type ValueOf } from '../forms';

const mist = heading('Mist', 1);
const lit = heading('Lit air', 1);
const lies = { field: 'mist', is: ['lies'] };
const inMist = { group: mist, when: lies };

export const AIR_HEADINGS = { mist, lit };

const drift = { unit: 'm a lap', min: -10_000, max: 10_000, comfort: 20, decimals: 1, ...inMist };

/** What the air holds besides even fog; they are fields of the look. */
export const airFields = {
  mist: choice(
    'none',
    { none: 'None', lies: 'Lies low' },
    { label: 'Mist', group: mist, hint: 'Fog that lies up to a height and thins above it. Lamps light it up.' },
  ),
  mistClear: animated(7, {
    label: 'Clear within',
    unit: 'm',
    min: 0.05,
    max: 10_000,
    comfort: 60,
    ...inMist,
    hint: 'Metres within full mist after which a third of the light is left.',
  }),
  mistFloor: animated(0, {
    label: 'Full up to',
    unit: 'm',
    min: -1000,
    max: 1000,
    comfort: 5,
    ...inMist,
    hint: 'The height up to which it is as thick as it gets.',
  }),
  mistHeight: animated(0.6, {
    label: 'Thins over',
    unit: 'm',
    min: 0.02,
    max: 1000,
    comfort: 8,
    ...inMist,
    hint: 'Metres upwards over which two thirds of it are gone, again and again.',
  }),
  mistColour: colour('#22303a', {
    label: 'Mist colour',
    ...inMist,
    hint: 'What is seen of it without any lamp: things and the background sink into this.',
  }),
  mistPatches: animated(0.7, {
    label: 'In patches',
    min: 0,
    max: 1,
    ...inMist,
    hint: '0 is even; at 1 there are banks of it with clear air between.',
  }),
  mistSize: number(4, {
    label: 'Bank size',
    unit: 'm',
    min: 0.1,
    max: 1000,
    comfort: 20,
    ...inMist,
    hint: 'About the distance from one bank to the next; along a tile it is fitted so that it repeats.',
  }),
  mistAside: number(0, {
    label: 'Drifts aside',
    perLap: true,
    ...drift,
    hint: 'About how far it drifts to the right in a lap: each of its waves moves on by whole ones.',
  }),
  mistAhead: number(0, { label: 'Drifts ahead', perLap: true, ...drift, hint: 'The same, ahead.' }),
  mistEvolves: integer(1, {
    label: 'Evolves',
    perLap: true,
    unit: 'cycles a lap',
    min: 0,
    max: 16,
    comfort: 4,
    ...inMist,
    hint: 'Most whole cycles that a wave of it goes through in a lap; 0 keeps its shape.',
  }),
  mistSeed: seed({ label: 'Seed', ...inMist, hint: 'Other banks of the same kind.' }),
  haze: animated(0, {
    label: 'Haze',
    unit: 'a metre',
    min: 0,
    max: 10,
    comfort: 0.3,
    decimals: 3,
    group: lit,
    hint: 'Share of a lamp’s light that every metre of air gives away, so that its beam is seen. 0 shows none, but in mist.',
  }),
  hazeForward: number(0.35, {
    label: 'Forward',
    min: -0.9,
    max: 0.9,
    decimals: 2,
    group: lit,
    hint: 'Above 0 air gives light on, and beams are brighter looked at against their lamp, as in smoke; below 0 it throws it back.',
  }),
};

export const AIR = form(airFields);
export type Air = ValueOf<typeof AIR>;
