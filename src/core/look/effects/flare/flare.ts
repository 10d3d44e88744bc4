import { animated, form, integer, number, tag, type ValueOf } from '../../../forms';
import { evaluateAnimated } from '../../../time/animated';
import { effectBase, type EffectDefinition } from '../definition';
import { brightFields, TURNED } from '../fields';
import { effectReach } from '../reach';

const strength = { unit: '×', min: 0, max: 10, comfort: 2 };
const share = { unit: '% of height', display: 100, decimals: 1 };

const FlareForm = form({
  ...effectBase,
  kind: tag('flare'),
  brightest: integer(5, {
    label: 'Brightest',
    min: 1,
    max: 24,
    comfort: 12,
    hint: 'So many lights have one; the last of them has none left, so that none comes or goes at once.',
  }),
  ...brightFields,
  shine: number(0.2, { label: 'Shine', ...strength, hint: 'Of the soft light around each.' }),
  shineSize: number(0.14, { label: 'Its size', ...share, min: 0.01, max: 1, comfort: 0.4, hint: 'Radius of it.' }),
  ring: number(0.07, { label: 'Ring', ...strength, hint: 'Of a thin ring in the colours of the spectrum.' }),
  ringSize: number(0.13, { label: 'Its size', ...share, min: 0.01, max: 1, comfort: 0.5, hint: 'Radius of it.' }),
  streak: number(0.4, { label: 'Streak', ...strength, hint: 'Of a thin line through each, both ways.' }),
  streakSize: number(0.35, { label: 'Its length', ...share, min: 0.01, max: 3, comfort: 1, hint: 'To one side.' }),
  turn: animated(0, {
    ...TURNED,
    hint: 'The streak, to the left from level; by half turns a lap it closes.',
  }),
  ghosts: integer(5, {
    label: 'Ghosts',
    min: 0,
    max: 8,
    hint: 'Discs on the line through the light and the middle of the picture.',
  }),
  ghost: number(0.16, { label: 'Their strength', ...strength, hint: 'Of the discs.' }),
  ...effectReach(),
});
export type Flare = ValueOf<typeof FlareForm>;

/** Of a lens that was made up: where ghosts are along the line from the light (1) through the middle (0), how large, and of what tint. */
export const GHOSTS: readonly { at: number; size: number; tint: readonly [number, number, number] }[] = [
  { at: -0.55, size: 0.055, tint: [0.5, 0.85, 1] },
  { at: 0.42, size: 0.03, tint: [1, 0.75, 0.4] },
  { at: -1.1, size: 0.12, tint: [0.45, 1, 0.75] },
  { at: -0.3, size: 0.02, tint: [1, 0.55, 0.75] },
  { at: -1.55, size: 0.2, tint: [0.55, 0.6, 1] },
  { at: 0.68, size: 0.045, tint: [0.6, 1, 0.95] },
  { at: -0.85, size: 0.035, tint: [1, 0.9, 0.55] },
  { at: 1.4, size: 0.09, tint: [0.85, 0.6, 1] },
];

export const flare: EffectDefinition<Flare> = {
  kind: 'flare',
  label: 'Flares',
  family: 'light',
  describe: 'Shine, ring, streak and ghosts of a lens, on the brightest lights alone.',
  form: FlareForm,
  space: 'scene',
  start: { gain: 1, threshold: 1 },
  closingSteps: () => ({ turn: 0.5 }),
  summary: ({ brightest, gain, ghosts }, phase) =>
    evaluateAnimated(gain, phase) > 0
      ? `the ${brightest} brightest, ${ghosts} ghosts, ${evaluateAnimated(gain, phase).toFixed(1)} ×`
      : 'none',
};
