import { form, gradient, tag, type ValueOf } from '../../../forms';
import { effectBase, shareWords, type EffectDefinition } from '../definition';
import { effectReach } from '../reach';

const GradientMapForm = form({
  ...effectBase,
  kind: tag('gradientMap'),
  colours: gradient(['#000000', '#ffffff'], {
    label: 'Colours',
    hint: 'What each brightness becomes, from black on the left to white on the right.',
  }),
  ...effectReach(),
});
export type GradientMap = ValueOf<typeof GradientMapForm>;

export const gradientMap: EffectDefinition<GradientMap> = {
  kind: 'gradientMap',
  label: 'Gradient map',
  family: 'colour',
  describe: 'Colours by brightness alone, along a gradient; on what the display shows.',
  form: GradientMapForm,
  space: 'display',
  start: GradientMapForm.schema.parse({
    kind: 'gradientMap',
    id: 'start',
    amount: 0.6,
    colours: ['#061018', '#1f4a5c', '#d98a4a', '#fff3d6'].map((colour, i) => ({ at: i / 3, colour })),
  }),
  summary: ({ amount }, phase) => shareWords(amount, phase),
};
