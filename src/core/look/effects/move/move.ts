import { animated, form, tag, type ValueOf } from '../../../forms';
import { evaluateAnimated, type Animated } from '../../../time/animated';
import { effectBase, type EffectDefinition } from '../definition';
import { TURNED } from '../fields';
import { effectReach } from '../reach';

const share = { unit: '%', display: 100, decimals: 1, min: -4, max: 4, comfort: 0.1 };

const MoveForm = form({
  ...effectBase,
  kind: tag('move'),
  aside: animated(0, {
    label: 'Aside',
    ...share,
    hint: 'To the right, as a share of the width. A noise of whole cycles jitters.',
  }),
  above: animated(0, { label: 'Above', ...share, hint: 'Upwards, as a share of the height.' }),
  turn: animated(0, {
    ...TURNED,
    ...{ comfort: 10, decimals: 1 },
    hint: 'To the left; by whole turns a lap it closes.',
  }),
  size: animated(1, {
    label: 'Size',
    unit: '×',
    min: 0.05,
    max: 20,
    comfort: 2,
    decimals: 2,
    hint: 'A little more than 1 keeps what is mirrored at the sides out of sight.',
  }),
  ...effectReach(),
});
export type Move = ValueOf<typeof MoveForm>;

const jitter = (reach: number, shift: number): Animated => ({
  law: 'swing',
  middle: 0,
  reach,
  cycles: 24,
  wave: 'noise',
  shift,
});

export const move: EffectDefinition<Move> = {
  kind: 'move',
  label: 'Moved picture',
  family: 'lens',
  describe: 'The finished picture is moved, turned and sized: by noise it jitters, by keys it whips.',
  form: MoveForm,
  space: 'scene',
  start: { aside: jitter(0.006, 0), above: jitter(0.006, 0.37), turn: jitter(0.0012, 0.71), size: 1.03 },
  closingSteps: () => ({ turn: 1 }),
  summary: ({ aside, above, turn, size }, phase) => {
    const at = (value: Animated): number => evaluateAnimated(value, phase);
    return `${(100 * at(aside)).toFixed(1)} %, ${(100 * at(above)).toFixed(1)} % · ${(360 * at(turn)).toFixed(1)}° · ${at(size).toFixed(2)} ×`;
  },
};
