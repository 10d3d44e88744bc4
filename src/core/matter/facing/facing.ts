import { animated, form, gradient, tag, type ValueOf } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { MATTER_HEADING, surfaceFields, surfaceValues, type MatterDefinition } from '../definition';

const group = MATTER_HEADING;

const FacingForm = form({
  kind: tag('facing'),
  amount: animated(1, {
    label: 'Covers',
    min: 0,
    max: 1,
    group,
    hint: 'How far the colours by angle cover the body’s own.',
  }),
  colours: gradient(['#0b0d14', '#24406b', '#f2b84b'], {
    label: 'By angle',
    group,
    hint: 'Colours from where it faces the camera to where it turns away at its rim.',
  }),
  bend: animated(1.5, {
    label: 'Rim',
    min: 0.1,
    max: 20,
    comfort: 6,
    group,
    hint: 'How near the rim its last colours are: 1 by the angle’s cosine, more: a narrow rim.',
  }),
  rimLight: animated(0, {
    label: 'Rim shines',
    unit: '×',
    min: 0,
    max: 1000,
    comfort: 8,
    group,
    hint: 'Light that it gives off where it turns away, in the colour there.',
  }),
  ...surfaceFields(0.35),
});
export type Facing = ValueOf<typeof FacingForm>;

export const facing: MatterDefinition<Facing> = {
  kind: 'facing',
  label: 'By angle',
  describe: 'A gradient from where it faces the camera to where it turns away: velvet, rims, x-rays.',
  form: FacingForm,
  values: (matter, phase) => [
    ...surfaceValues(matter, phase),
    evaluateAnimated(matter.amount, phase),
    evaluateAnimated(matter.bend, phase),
    evaluateAnimated(matter.rimLight, phase),
  ],
  colours: ({ colours }) => colours,
};
