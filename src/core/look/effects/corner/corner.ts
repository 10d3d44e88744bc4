import { animated, choice, colour, form, tag, type ValueOf } from '../../../forms';
import { evaluateAnimated } from '../../../time/animated';
import { effectBase, type EffectDefinition } from '../definition';
import { effectReach } from '../reach';

export const SIDES = {
  corners: 'All corners',
  left: 'The left',
  right: 'The right',
  above: 'Above',
  below: 'Below',
  topLeft: 'Top left',
  topRight: 'Top right',
  bottomLeft: 'Bottom left',
  bottomRight: 'Bottom right',
};

const CornerForm = form({
  ...effectBase,
  kind: tag('corner'),
  side: choice('corners', SIDES, { label: 'Comes from', hint: 'Where beyond the picture the light is.' }),
  colour: colour('#ff7a3c', { label: 'Colour', hint: 'Of the light.' }),
  strength: animated(0.35, {
    label: 'Strength',
    unit: '×',
    min: 0,
    max: 100,
    comfort: 2,
    hint: 'Light that is added at its brightest; let it swing, and it breathes.',
  }),
  reach: animated(0.5, {
    label: 'Reaches',
    unit: '% of height',
    min: 0.02,
    max: 4,
    comfort: 1,
    display: 100,
    decimals: 0,
    hint: 'How far into the picture, as a share of the shorter side: there a third is left.',
  }),
  ...effectReach(),
});
export type Corner = ValueOf<typeof CornerForm>;

export const corner: EffectDefinition<Corner> = {
  kind: 'corner',
  label: 'Corner light',
  family: 'light',
  describe: 'Light that leaks in from beyond the picture.',
  form: CornerForm,
  space: 'scene',
  summary: ({ side, strength }, phase) =>
    `${SIDES[side].toLowerCase()} · ${evaluateAnimated(strength, phase).toFixed(2)} ×`,
};
