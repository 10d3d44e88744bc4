import { form, number, tag, type ValueOf } from '../../../forms';
import { effectBase, type EffectDefinition } from '../definition';

const VignetteForm = form({
  ...effectBase,
  kind: tag('vignette'),
  amount: number(0.25, {
    label: 'Amount',
    unit: '%',
    min: 0,
    max: 1,
    display: 100,
    decimals: 0,
    hint: 'How much darker the corners are.',
  }),
});
export type Vignette = ValueOf<typeof VignetteForm>;

export const vignette: EffectDefinition<Vignette> = {
  kind: 'vignette',
  label: 'Vignette',
  describe: 'The corners darken as a lens lets them.',
  form: VignetteForm,
  space: 'scene',
  summary: ({ amount }) => `${Math.round(amount * 100)} %`,
};
