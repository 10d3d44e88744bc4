import { form, tag, type ValueOf } from '../../../forms';
import { effectBase, shareWords, type EffectDefinition } from '../definition';
import { effectReach } from '../reach';

const VignetteForm = form({
  ...effectBase,
  kind: tag('vignette'),
  ...effectReach(0.25),
});
export type Vignette = ValueOf<typeof VignetteForm>;

export const vignette: EffectDefinition<Vignette> = {
  kind: 'vignette',
  label: 'Vignette',
  family: 'lens',
  describe: 'The corners darken as a lens lets them.',
  form: VignetteForm,
  space: 'scene',
  usual: true,
  graded: true,
  summary: ({ amount }, phase) => shareWords(amount, phase),
};
