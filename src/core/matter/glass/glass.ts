import { animated, form, gradient, tag, type ValueOf } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { MATTER_HEADING, surfaceValues, type MatterDefinition } from '../definition';

const group = MATTER_HEADING;

const GlassForm = form({
  kind: tag('glass'),
  index: animated(1.5, {
    label: 'Refracts',
    min: 1,
    max: 3,
    group,
    decimals: 2,
    hint: 'Its index of refraction: 1 bends nothing, 1.33 is water, 1.5 glass, 2.4 diamond.',
  }),
  rough: animated(0.02, {
    label: 'Roughness',
    min: 0.02,
    max: 1,
    group,
    hint: '0: clear. 1: frosted, what is behind it is a blur.',
  }),
  colours: gradient(['#ffffff', '#eef7f4', '#a9d6cc'], {
    label: 'Tint',
    group,
    hint: 'What it lets through, from where it is thinnest to where it is as thick as the next value.',
  }),
  thick: animated(1, {
    label: 'Tinted over',
    unit: 'm',
    min: 0.001,
    max: 1000,
    comfort: 4,
    decimals: 3,
    group,
    hint: 'Metres of it in which the tint is full.',
  }),
  own: animated(0, {
    label: 'Body’s colour',
    min: 0,
    max: 1,
    group,
    hint: 'How far the body’s own colour tints it too.',
  }),
  glowing: animated(0, {
    label: 'Shines',
    unit: '×',
    min: 0,
    max: 1000,
    comfort: 8,
    group,
    hint: 'Light of its own, in the body’s colour.',
  }),
});
export type Glass = ValueOf<typeof GlassForm>;

export const glass: MatterDefinition<Glass> = {
  kind: 'glass',
  label: 'Glass',
  describe: 'Shows what is behind it, bent, tinted by its thickness, and mirrors what is around.',
  form: GlassForm,
  values: (matter, phase) => [
    ...surfaceValues({ ...matter, metal: 0 }, phase),
    evaluateAnimated(matter.index, phase),
    evaluateAnimated(matter.thick, phase),
    evaluateAnimated(matter.own, phase),
  ],
  colours: ({ colours }) => colours,
};
