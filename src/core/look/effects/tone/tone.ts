import { animated, choice, form, number, tag, type ValueOf } from '../../../forms';
import { evaluateAnimated } from '../../../time/animated';
import { effectBase, type EffectDefinition } from '../definition';

const CURVES = { soft: 'Soft shoulder', deep: 'Deep contrast', straight: 'Straight' };

const ToneForm = form({
  ...effectBase,
  kind: tag('tone'),
  exposure: animated(0, {
    label: 'Exposure',
    unit: 'EV',
    min: -12,
    max: 12,
    comfort: 4,
    hint: 'Each step doubles the light.',
  }),
  curve: choice('soft', CURVES, { label: 'Curve', hint: 'How bright light approaches white.' }),
  saturation: number(1, {
    label: 'Saturation',
    unit: '×',
    min: 0,
    max: 3,
    comfort: 2,
    hint: '1 leaves colours as they are, 0 removes them.',
  }),
});
export type Tone = ValueOf<typeof ToneForm>;

export const tone: EffectDefinition<Tone> = {
  kind: 'tone',
  label: 'Tone',
  family: 'colour',
  describe: 'From light to what a display can show.',
  form: ToneForm,
  space: 'tone',
  usual: true,
  always: true,
  summary({ exposure, curve }, phase) {
    const ev = evaluateAnimated(exposure, phase);
    return `${ev >= 0 ? '+' : ''}${ev.toFixed(2)} EV · ${CURVES[curve].toLowerCase()}`;
  },
};
