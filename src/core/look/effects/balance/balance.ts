import { animated, form, tag, type ValueOf } from '../../../forms';
import { adaptation, NEUTRAL_KELVIN, type Matrix3 } from '../../../colour/adapt';
import { evaluateAnimated } from '../../../time/animated';
import { effectBase, type EffectDefinition } from '../definition';
import { effectReach } from '../reach';

const BalanceForm = form({
  ...effectBase,
  kind: tag('balance'),
  white: animated(NEUTRAL_KELVIN, {
    label: 'White',
    unit: 'K',
    min: 1500,
    max: 15_000,
    decimals: 0,
    hint: 'Light of this colour temperature becomes white: lower cools the picture, higher warms it.',
  }),
  green: animated(0, {
    label: 'Green',
    unit: '%',
    min: -1,
    max: 1,
    display: 100,
    decimals: 0,
    hint: 'Above 0 greener, below 0 towards magenta.',
  }),
  ...effectReach(),
});
export type Balance = ValueOf<typeof BalanceForm>;

/** How far the greenest is beside white, in v of CIE 1960. */
const GREENEST = 0.05;

/** What linear light is multiplied by at a phase: what is shown as white is less green than what comes out. */
export const balanceAt = ({ white, green }: Pick<Balance, 'white' | 'green'>, phase: number): Matrix3 =>
  adaptation(evaluateAnimated(white, phase), -GREENEST * evaluateAnimated(green, phase));

export const balance: EffectDefinition<Balance> = {
  kind: 'balance',
  label: 'White balance',
  family: 'colour',
  describe: 'Warmer or cooler, as an eye that has adapted to the light.',
  form: BalanceForm,
  space: 'scene',
  start: { white: 8000 },
  summary: ({ white, green }, phase) => {
    const tint = Math.round(evaluateAnimated(green, phase) * 100);
    return `${Math.round(evaluateAnimated(white, phase))} K${tint === 0 ? '' : tint > 0 ? ' · greener' : ' · less green'}`;
  },
};
