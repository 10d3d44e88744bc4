import { colour, form, animated, number, tag, type ValueOf } from '../../../forms';
import { effectBase, shareWords, type EffectDefinition } from '../definition';
import { effectReach } from '../reach';

const share = { unit: '%', min: 0, max: 1, display: 100, decimals: 0 };

const TintForm = form({
  ...effectBase,
  kind: tag('tint'),
  shadows: colour('#3a6ea5', { label: 'Shadows', hint: 'What dark parts turn to; their brightness stays.' }),
  shadowsBy: animated(0, { label: 'Shadows by', ...share, hint: 'How far they do.' }),
  lights: colour('#ffb066', { label: 'Lights', hint: 'What bright parts turn to; their brightness stays.' }),
  lightsBy: animated(0, { label: 'Lights by', ...share, hint: 'How far they do.' }),
  middle: number(0.45, {
    label: 'Middle',
    ...share,
    min: 0.05,
    max: 0.95,
    hint: 'The brightness that is half of either; lower for more lights, higher for more shadows.',
  }),
  ...effectReach(),
});
export type Tint = ValueOf<typeof TintForm>;

export const tint: EffectDefinition<Tint> = {
  kind: 'tint',
  label: 'Tint',
  family: 'colour',
  describe: 'Shadows and lights towards a colour each, as bright as before; on what the display shows.',
  form: TintForm,
  space: 'display',
  start: { shadowsBy: 0.4, lightsBy: 0.3 },
  summary: ({ shadowsBy, lightsBy }, phase) =>
    `shadows ${shareWords(shadowsBy, phase)} · lights ${shareWords(lightsBy, phase)}`,
};
