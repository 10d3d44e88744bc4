import { animated, form, number, tag, type ValueOf } from '../../../forms';
import { evaluateAnimated } from '../../../time/animated';
import { effectBase, type EffectDefinition } from '../definition';
import { effectReach } from '../reach';

const SharpenForm = form({
  ...effectBase,
  kind: tag('sharpen'),
  strength: animated(0.5, {
    label: 'Strength',
    unit: '×',
    min: 0,
    max: 5,
    comfort: 1.5,
    hint: 'How much of what is finer than the radius is added once more.',
  }),
  radius: number(0.0015, {
    label: 'Radius',
    unit: '% of height',
    min: 0.0005,
    max: 0.02,
    comfort: 0.005,
    display: 100,
    decimals: 2,
    hint: 'As a share of the shorter side of the frame.',
  }),
  ...effectReach(),
});
export type Sharpen = ValueOf<typeof SharpenForm>;

export const sharpen: EffectDefinition<Sharpen> = {
  kind: 'sharpen',
  label: 'Sharpen',
  family: 'lens',
  describe: 'What is fine stands out, after the lens and before the grain.',
  form: SharpenForm,
  space: 'display',
  summary: ({ strength, radius }, phase) =>
    `${evaluateAnimated(strength, phase).toFixed(2)} × · ${(radius * 100).toFixed(2)} % of the height`,
};
