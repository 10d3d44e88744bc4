import { animated, choice, form, gradient, tag, type ValueOf } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { MATTER_HEADING as group, shinesField, type MatterDefinition } from '../definition';

const SidesForm = form({
  kind: tag('sides'),
  by: choice(
    'world',
    { world: 'The world', picture: 'The picture' },
    {
      label: 'Sides of',
      group,
      hint: 'Which way is up and which are the sides: in the world, or in the picture as in an isometric drawing, wherever the camera goes.',
    },
  ),
  tones: gradient(['#ffffff', '#8f8f8f', '#3d3d3d'], {
    label: 'By side',
    group,
    hint: 'What its colour is multiplied with: on top first, on its right side in the middle, on its left side last.',
  }),
  amount: animated(1, { label: 'Covers', min: 0, max: 1, group, hint: 'How far its sides differ.' }),
  under: animated(0.5, {
    label: 'Underneath',
    unit: '×',
    min: 0,
    max: 1,
    group,
    hint: 'How bright the sides opposite are, beside these: underneath, and at the back.',
  }),
  glowing: shinesField(1, 'Light of its own, in its colour. No other light falls on it, and no shadow.'),
});
export type Sides = ValueOf<typeof SidesForm>;

export const sides: MatterDefinition<Sides> = {
  kind: 'sides',
  label: 'By side',
  describe: 'Each side in a tone of its own, whatever shines on it: drawn, not lit.',
  form: SidesForm,
  values: ({ by, amount, under, glowing }, phase) => [
    0,
    1,
    evaluateAnimated(glowing, phase),
    by === 'picture' ? 1 : 0,
    evaluateAnimated(amount, phase),
    evaluateAnimated(under, phase),
  ],
  colours: ({ tones }) => tones,
};
