import { animated, form, tag, type ValueOf } from '../../../forms';
import { evaluateAnimated } from '../../../time/animated';
import { effectBase, type EffectDefinition } from '../definition';
import { effectReach } from '../reach';

const DistortionForm = form({
  ...effectBase,
  kind: tag('distortion'),
  barrel: animated(0.15, {
    label: 'Barrel',
    unit: '%',
    min: -0.6,
    max: 2,
    comfort: 0.5,
    display: 100,
    decimals: 0,
    hint: 'Above 0 the middle swells as in a barrel, below 0 it is drawn in as in a cushion; the corners stay. Swung far and back, it is a transition.',
  }),
  ...effectReach(),
});
export type Distortion = ValueOf<typeof DistortionForm>;

export const distortion: EffectDefinition<Distortion> = {
  kind: 'distortion',
  label: 'Distortion',
  family: 'lens',
  describe: 'Straight lines bend, as through a wide or a long lens.',
  form: DistortionForm,
  space: 'scene',
  summary: ({ barrel }, phase) => {
    const much = Math.round(100 * evaluateAnimated(barrel, phase));
    return `${much < 0 ? 'cushion' : 'barrel'} ${Math.abs(much)} %`;
  },
};
