import { z } from 'zod';
import { colour, form, list, number, stored, tag, type ValueOf } from '../../../forms';
import { effectBase, type EffectDefinition } from '../definition';
import { softField } from '../fields';
import { effectReach } from '../reach';

/** The most glows of one effect: they share one pass. */
export const MOST_GLOWS = 4;

export const GLOW_LAYER = form({
  id: stored(z.string()),
  radius: number(0.02, {
    label: 'Radius',
    unit: '% of height',
    min: 0.001,
    max: 0.4,
    comfort: 0.12,
    display: 100,
    decimals: 1,
    hint: 'As a share of the shorter side of the frame, so it looks alike at every size.',
  }),
  threshold: number(0.6, {
    label: 'From',
    min: 0,
    max: 100,
    comfort: 3,
    hint: 'Light above this glows, measured on the picture averaged over the glow’s own radius.',
  }),
  soft: softField,
  gain: number(0.3, {
    label: 'Gain',
    unit: '×',
    min: 0,
    max: 10,
    comfort: 1.5,
    hint: 'How much of that light is added around.',
  }),
  tint: colour('#ffffff', { label: 'Tint', hint: 'Colour the glow is multiplied by.' }),
});
export type GlowLayer = ValueOf<typeof GLOW_LAYER>;

const GlowForm = form({
  ...effectBase,
  kind: tag('glow'),
  layers: list(GLOW_LAYER, MOST_GLOWS),
  ...effectReach(),
});
export type Glow = ValueOf<typeof GlowForm>;

export const glow: EffectDefinition<Glow> = {
  kind: 'glow',
  label: 'Glow',
  family: 'light',
  describe: 'Bright light spreads around itself, near and wide.',
  form: GlowForm,
  space: 'scene',
  usual: true,
  // near and wide
  start: {
    layers: [
      { id: 'near', radius: 0.005, threshold: 0.8, soft: 0.5, gain: 0.4, tint: '#ffffff' },
      { id: 'wide', radius: 0.06, threshold: 0.15, soft: 0.5, gain: 0.3, tint: '#ffffff' },
    ],
  },
  summary: ({ layers }) =>
    layers.length === 0
      ? 'none'
      : `${layers.map(({ radius }) => `${Number((radius * 100).toFixed(1))} %`).join(' + ')} of the height`,
};
