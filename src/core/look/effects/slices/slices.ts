import { animated, form, integer, seed, tag, type ValueOf } from '../../../forms';
import { effectBase, type EffectDefinition } from '../definition';
import { burstFields, burstsOf } from '../fields';
import { effectReach } from '../reach';

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

export const slices: EffectDefinition<Slices> = {
  kind: 'slices',
  label: 'Slices',
  family: 'screen',
  describe: 'Bands jump aside and colours part, in short bursts.',
  form: SlicesForm,
  space: 'display',
  summary: (effect) => {
    const begins = burstsOf(effect).map((share) => `${Math.round(100 * share)} %`);
    return `${effect.lasts} frames at ${begins.length > 4 ? `${begins.slice(0, 3).join(', ')} …` : begins.join(', ')} of the lap`;
  },
};
