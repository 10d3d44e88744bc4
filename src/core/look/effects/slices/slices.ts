import { animated, form, integer, seed, tag, type ValueOf } from '../../../forms';
import { hash4, unitFrom } from '../../../random/hash';
import { effectBase, type EffectDefinition } from '../definition';
import { effectReach, type Moment } from '../reach';

/** When something breaks out. */
export const burstFields = {
  bursts: integer(3, {
    label: 'Bursts',
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

const SlicesForm = form({
  ...effectBase,
  kind: tag('slices'),
  ...burstFields,
  bands: integer(24, {
    label: 'Bands',
    min: 1,
    max: 500,
    comfort: 80,
    hint: 'Slices of the picture from top to bottom; about a third of them moves.',
  }),
  shift: animated(0.08, {
    label: 'Shift',
    unit: '% of width',
    min: 0,
    max: 1,
    comfort: 0.3,
    display: 100,
    decimals: 1,
    hint: 'How far a band is moved aside at most.',
  }),
  split: animated(0.01, {
    label: 'Split',
    unit: '% of width',
    min: 0,
    max: 0.5,
    comfort: 0.05,
    display: 100,
    decimals: 1,
    hint: 'How far red and blue part in a burst.',
  }),
  seed: seed({ label: 'Chance', hint: 'When it breaks out, and which bands move.' }),
  ...effectReach(),
});
export type Slices = ValueOf<typeof SlicesForm>;

/** Where in the lap each burst begins, 0..1: each in its own share of it, so that none falls into another unless they are too long. */
const burstsOf = ({ bursts, seed: chance }: Pick<Slices, 'bursts' | 'seed'>): number[] =>
  Array.from({ length: bursts }, (_, k) => (k + unitFrom(hash4(k, chance, 0, 81)[0])) / bursts);

/** The number of the state that a burst shows on a frame of the lap, from 1; 0 outside of bursts. Every state lasts two frames. */
export function burstAt(
  effect: Pick<Slices, 'bursts' | 'lasts' | 'seed'>,
  { frame, frames }: Pick<Moment, 'frame' | 'frames'>,
): number {
  for (const [k, begins] of burstsOf(effect).entries()) {
    const since = (((frame - Math.floor(begins * frames)) % frames) + frames) % frames;
    if (since < Math.min(effect.lasts, frames)) return 1 + k * 4096 + Math.floor(since / 2);
  }
  return 0;
}

export const slices: EffectDefinition<Slices> = {
  kind: 'slices',
  label: 'Slices',
  describe: 'Bands jump aside and colours part, in short bursts.',
  form: SlicesForm,
  space: 'display',
  summary: (effect) => {
    const begins = burstsOf(effect).map((share) => `${Math.round(100 * share)} %`);
    return `${effect.lasts} frames at ${begins.length > 4 ? `${begins.slice(0, 3).join(', ')} …` : begins.join(', ')} of the lap`;
  },
};
