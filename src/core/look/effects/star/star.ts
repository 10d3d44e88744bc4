import { animated, form, integer, tag, type ValueOf } from '../../../forms';
import { evaluateAnimated } from '../../../time/animated';
import { effectBase, type EffectDefinition } from '../definition';
import { brightFields, TURNED } from '../fields';
import { effectReach } from '../reach';

const StarForm = form({
  ...effectBase,
  kind: tag('star'),
  points: integer(4, {
    label: 'Points',
    min: 1,
    max: 16,
    hint: 'Rays of each star; two are a streak.',
  }),
  turn: animated(0, {
    ...TURNED,
    hint: 'To the left; by whole points a lap it closes.',
  }),
  length: animated(0.12, {
    label: 'Length',
    unit: '% of height',
    min: 0.005,
    max: 1,
    comfort: 0.4,
    display: 100,
    decimals: 1,
    hint: 'How far out a third is left, as a share of the shorter side.',
  }),
  ...brightFields,
  ...effectReach(),
});
export type Star = ValueOf<typeof StarForm>;

export const star: EffectDefinition<Star> = {
  kind: 'star',
  label: 'Star rays',
  family: 'light',
  describe: 'Rays out of what is bright: stars of any number of points, or a streak.',
  form: StarForm,
  space: 'scene',
  start: { gain: 0.8, turn: 0.125 },
  closingSteps: ({ points }) => ({ turn: 1 / points }),
  summary: ({ points, gain }, phase) =>
    evaluateAnimated(gain, phase) > 0
      ? `${points === 2 ? 'a streak' : `${points} points`}, ${evaluateAnimated(gain, phase).toFixed(1)} ×`
      : 'none',
};
