import { form, number, tag, type ValueOf } from '../../../forms';
import { effectBase, type EffectDefinition } from '../definition';
import { effectReach } from '../reach';

const DitherForm = form({
  ...effectBase,
  kind: tag('dither'),
  steps: number(1, {
    label: 'Strength',
    unit: 'code values',
    min: 0,
    max: 4,
    comfort: 2,
    decimals: 1,
    hint: 'Noise of so many code values of 8 bits, so that dark gradients do not band.',
  }),
  ...effectReach(),
});
export type Dither = ValueOf<typeof DitherForm>;

export const dither: EffectDefinition<Dither> = {
  kind: 'dither',
  label: 'Dither',
  family: 'lens',
  describe: 'A breath of noise that keeps dark gradients from banding.',
  form: DitherForm,
  space: 'display',
  usual: true,
  smooths: true,
  summary: ({ steps }) => `${Number(steps.toFixed(1))} code value${steps === 1 ? '' : 's'}`,
};
