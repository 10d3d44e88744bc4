import { form, profile, profileHalves, tag, type ValueOf } from '../../../forms';
import { curveAt } from '../../../colour/lookup.gen';
import { effectBase, type EffectDefinition } from '../definition';
import { effectReach } from '../reach';

/** A curve that changes nothing. */
export const STRAIGHT: readonly number[] = Array.from({ length: 8 }, (_, i) => i / 7);

const curve = (label: string, what: string) =>
  profile(STRAIGHT, {
    label,
    min: 0,
    max: 1,
    hint: `What ${what} becomes, from black on the left to white on the right, at eight values with a curve through them that turns only there.`,
  });

const CurvesForm = form({
  ...effectBase,
  kind: tag('curves'),
  all: curve('All', 'every channel'),
  red: curve('Red', 'red, after that,'),
  green: curve('Green', 'green, after that,'),
  blue: curve('Blue', 'blue, after that,'),
  ...effectReach(),
});
export type Curves = ValueOf<typeof CurvesForm>;

export const CHANNELS = ['red', 'green', 'blue'] as const;

/** What a curve makes of a value 0..1. */
export function curved(knots: readonly number[], v: number): number {
  const [low, high] = profileHalves(knots);
  return curveAt(...low, ...high, v);
}

const bent = (knots: readonly number[]): boolean => knots.some((v, i) => Math.abs(v - STRAIGHT[i]) > 1e-3);

export const curves: EffectDefinition<Curves> = {
  kind: 'curves',
  label: 'Curves',
  family: 'colour',
  describe: 'Tones bent by a curve, of all channels and of each; on what the display shows.',
  form: CurvesForm,
  space: 'display',
  // a little steeper in the middle, and dark parts towards blue
  start: { all: [0, 0.11, 0.25, 0.41, 0.59, 0.75, 0.89, 1], blue: [0.05, 0.18, 0.31, 0.44, 0.57, 0.71, 0.84, 0.96] },
  summary: (effect) => {
    const own = (['all', ...CHANNELS] as const).filter((channel) => bent(effect[channel]));
    return own.length > 0 ? own.join(', ') : 'straight';
  },
};
