import { z } from 'zod';
import { choice, file, form, FRAMES, integer, number, stored, type Condition, type ValueOf } from '../forms';
import { hash4, unitFrom } from '../random/hash';
import { frameOfLap, stretchLasts } from '../time/stretch';
import { solidWords } from './solids';
import type { ModelUp } from './solid';

const frames = { ...FRAMES, min: 0, max: 100_000, comfort: 250 };

/** The rows of a body that may be a model: which, and what of it is up. @param when it is one */
export const modelFields = (when: Condition | readonly Condition[]) => ({
  model: file('model', null, {
    label: 'Model',
    when,
    hint: 'A model of your own or of the kit: glTF, OBJ, PLY or STL. Its longest side is its size.',
  }),
  up: choice('file', { file: 'As it is', y: 'Its y', z: 'Its z', x: 'Its x' } satisfies Record<ModelUp, string>, {
    label: 'Up is',
    when,
    hint: 'Which axis of its file is up; where the file does not say, it is guessed.',
  }),
});

/** Another body in the place of some elements’ own, from one frame up to another; all else stays. */
export const ExchangeForm = form({
  id: stored(z.string().min(1).max(64)),
  body: choice('sphere', solidWords, { label: 'Body', hint: 'What is shown in the place of the layer’s own body.' }),
  ...modelFields({ field: 'body', is: ['model'] }),
  from: integer(60, { label: 'From', moment: true, ...frames, hint: 'First frame that shows it.' }),
  to: integer(120, {
    label: 'Up to',
    moment: true,
    ...frames,
    hint: 'First frame that shows it no more; earlier than the one before, it stays across the seam.',
  }),
  who: choice(
    'all',
    { all: 'All', every: 'Every few', chance: 'Some by chance' },
    { label: 'Exchanges', hint: 'Which elements are exchanged.' },
  ),
  every: integer(2, {
    label: 'Every',
    min: 1,
    max: 1000,
    comfort: 8,
    when: { field: 'who', is: ['every'] },
    hint: 'One of so many that follow one another.',
  }),
  first: integer(1, {
    label: 'Beginning with',
    min: 1,
    max: 1000,
    comfort: 8,
    when: { field: 'who', is: ['every'] },
    hint: 'Number of the first of them.',
  }),
  share: number(0.5, {
    label: 'Share',
    min: 0,
    max: 1,
    decimals: 2,
    when: { field: 'who', is: ['chance'] },
    hint: 'How many of them all.',
  }),
  wait: integer(0, {
    label: 'One by one',
    ...frames,
    comfort: 60,
    hint: 'Frames from the first one’s turn to the last one’s; 0: all at once.',
  }),
  turns: choice(
    'order',
    { order: 'In order', chance: 'By chance' },
    { label: 'Their turns', hint: 'Who is exchanged first, where they are exchanged one by one.' },
  ),
});
export type Exchange = ValueOf<typeof ExchangeForm>;

/** What an exchange is called. */
export const exchangeWords = (exchange: object): string => {
  const { body, model, from, to } = exchange as Exchange;
  return `${(body === 'model' && model?.name) || solidWords[body]}, ${from} to ${to}`;
};

/** Elements as exchanges ask for them: their number among all there are at last, and how many those are. */
export interface Exchanged {
  count: number;
  numberOf(element: number): number;
  total: number;
  seed: number;
}

/** Mixed in where chance decides who is exchanged, and when. */
const CHANCE = 83;

/**
 * Which body each element shows on a frame of the lap: 0 its own, n that of the n-th exchange; a later one in the list goes before an
 * earlier one.
 */
export function bodiesOn(exchanges: readonly Exchange[], of: Exchanged, frame: number, lap: number): Uint8Array {
  const out = new Uint8Array(of.count);
  exchanges.forEach((exchange, at) => {
    const { who, every, first, share, wait, turns, from } = exchange;
    const lasts = stretchLasts(exchange, lap);
    for (let i = 0; i < of.count; i++) {
      const number = of.numberOf(i);
      if (who === 'every' && (number - first + 1) % every !== 0) continue;
      const chance = who === 'chance' || turns === 'chance' ? hash4(number, of.seed, CHANCE, at) : null;
      if (who === 'chance' && chance && unitFrom(chance[0]) >= share) continue;
      const turn = turns === 'chance' && chance ? unitFrom(chance[1]) : number / Math.max(1, of.total - 1);
      const begins = from + Math.round(turn * Math.min(wait, lap));
      if (frameOfLap(frame - begins, lap) < lasts) out[i] = at + 1;
    }
  });
  return out;
}

/** Whether all elements show the same body as each other on every frame. */
export const areTogether = (exchanges: readonly Exchange[]): boolean =>
  exchanges.every(({ who, every, wait }) => (who === 'all' || (who === 'every' && every === 1)) && wait === 0);
