import { animated, form, tag, type ValueOf } from '../../../forms';
import { evaluateAnimated } from '../../../time/animated';
import { effectBase, type EffectDefinition } from '../definition';
import { effectReach } from '../reach';

const FringeForm = form({
  ...effectBase,
  kind: tag('fringe'),
  apart: animated(0.004, {
    label: 'Apart',
    unit: '% of height',
    min: -0.1,
    max: 0.1,
    comfort: 0.02,
    display: 100,
    decimals: 2,
    hint: 'How far red is outside of blue in the corners, as a share of the shorter side; below 0 the other way round.',
  }),
  ...effectReach(),
});
export type Fringe = ValueOf<typeof FringeForm>;

export const fringe: EffectDefinition<Fringe> = {
  kind: 'fringe',
  label: 'Edge fringing',
  family: 'lens',
  describe: 'A lens that bends red and blue differently: colours part towards the corners.',
  form: FringeForm,
  space: 'scene',
  summary: ({ apart }, phase) => `${(evaluateAnimated(apart, phase) * 100).toFixed(2)} % of the height`,
};
