import { colour, form, number, tag, type ValueOf } from '../../../forms';
import { evaluateAnimated } from '../../../time/animated';
import { effectBase, type EffectDefinition } from '../definition';
import { brightFields } from '../fields';
import { effectReach } from '../reach';

const HalationForm = form({
  ...effectBase,
  kind: tag('halation'),
  radius: number(0.008, {
    label: 'Radius',
    unit: '% of height',
    min: 0.001,
    max: 0.1,
    comfort: 0.03,
    display: 100,
    decimals: 1,
    hint: 'How far it spreads, as a share of the shorter side.',
  }),
  ...brightFields,
  tint: colour('#ff4a1c', { label: 'Tint', hint: 'Colour that what is bright throws around itself.' }),
  ...effectReach(),
});
export type Halation = ValueOf<typeof HalationForm>;

export const halation: EffectDefinition<Halation> = {
  kind: 'halation',
  label: 'Halation',
  family: 'light',
  describe: 'A narrow red rim around what is bright, as light thrown back by the base of a film.',
  form: HalationForm,
  space: 'scene',
  start: { gain: 0.9 },
  summary: ({ gain, radius }, phase) =>
    evaluateAnimated(gain, phase) > 0
      ? `${(100 * radius).toFixed(1)} %, ${evaluateAnimated(gain, phase).toFixed(1)} ×`
      : 'none',
};
