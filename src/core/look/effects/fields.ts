import { animated, colour, integer, number } from '../../forms';
import { hash4, unitFrom } from '../../random/hash';
import { frameOfLap } from '../../time/stretch';
import type { Moment } from './reach';

// Fields that kinds of effect share.

/** How softly light begins to count at a threshold. */
export const softField = number(0.5, {
  label: 'Softly',
  unit: '%',
  min: 0,
  max: 1,
  display: 100,
  decimals: 0,
  hint: 'Share of that threshold below it, and above, over which light begins to count; at 0 it does at once.',
});

/** Fields of what takes the light above a threshold. */
export const brightFields = {
  threshold: number(0.8, {
    label: 'From',
    min: 0,
    max: 100,
    comfort: 3,
    hint: 'Light above this counts, on the picture averaged to a fixed size.',
  }),
  soft: softField,
  gain: animated(0, {
    label: 'Gain',
    unit: '×',
    min: 0,
    max: 20,
    comfort: 3,
    hint: 'How much of that light is added.',
  }),
  tint: colour('#ffffff', { label: 'Tint', hint: 'Colour it is multiplied by.' }),
};

/** An angle by which something stands turned, in turns. */
export const TURNED = {
  label: 'Turned',
  unit: '°',
  min: -100_000,
  max: 100_000,
  comfort: 180,
  decimals: 0,
  display: 360,
};

/** When something breaks out. */
export const burstFields = {
  bursts: integer(3, {
    label: 'Bursts',
    perLap: true,
    unit: 'per lap',
    min: 1,
    max: 500,
    comfort: 16,
    hint: 'How often in a lap it breaks out, at moments of its own.',
  }),
  lasts: integer(8, {
    label: 'Lasts',
    unit: 'frames',
    min: 1,
    max: 10_000,
    comfort: 60,
    retimes: true,
    hint: 'Frames of one burst; each of its states stays for two.',
  }),
};

/** What breaks out so. */
interface Bursting {
  bursts: number;
  lasts: number;
  seed: number;
}

/** Where in the lap each burst begins, 0..1: each in its own share of it, so that none falls into another unless they are too long. */
export const burstsOf = ({ bursts, seed: chance }: Pick<Bursting, 'bursts' | 'seed'>): number[] =>
  Array.from({ length: bursts }, (_, k) => (k + unitFrom(hash4(k, chance, 0, 81)[0])) / bursts);

/** The number of the state that a burst shows on a frame of the lap, from 1; 0 outside of bursts. Every state lasts two frames. */
export function burstAt(effect: Bursting, { frame, frames }: Pick<Moment, 'frame' | 'frames'>): number {
  for (const [k, begins] of burstsOf(effect).entries()) {
    const since = frameOfLap(frame - Math.floor(begins * frames), frames);
    if (since < Math.min(effect.lasts, frames)) return 1 + k * 4096 + Math.floor(since / 2);
  }
  return 0;
}
