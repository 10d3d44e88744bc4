import { animated, form, heading, integer, number, tag, type ValueOf, largest } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { treatmentBase, treatmentReach } from '../base';
import type { TreatmentDefinition } from '../definition';
import { shatterKernel, type ShatterValues } from './shatter.gen';

const group = heading('Shatter');
const sizes = { unit: '× size', min: -100, max: 100, comfort: 6, group };

const ShatterForm = form({
  ...treatmentBase,
  kind: tag('shatter'),
  amount: animated(
    { law: 'swing', middle: 0.5, reach: 0.5, cycles: 1, wave: 'sine', shift: 0.75 },
    {
      label: 'Amount',
      min: 0,
      max: 4,
      comfort: 1,
      decimals: 2,
      group,
      hint: '0: whole. 1: its pieces have flown apart.',
    },
  ),
  pieces: integer(40, {
    label: 'Pieces',
    min: 2,
    max: 400,
    comfort: 120,
    group,
    hint: 'Pieces each body breaks into; made once, moved at no cost.',
  }),
  away: number(1.6, { label: 'Outwards', ...sizes, hint: 'How far pieces fly, in sizes of the body.' }),
  fall: number(0, { label: 'Falls', ...sizes, hint: 'How far pieces fall meanwhile, in sizes of the body.' }),
  turns: number(0.8, {
    label: 'Turning',
    unit: 'turns',
    min: 0,
    max: 40,
    comfort: 3,
    decimals: 2,
    group,
    hint: 'Most turns a piece makes on the way.',
  }),
  spread: number(0.6, { label: 'Spread', min: 0, max: 1, group, hint: '0: all alike. 1: each at a speed of its own.' }),
  stagger: number(0.3, { label: 'One by one', min: 0, max: 1, group, hint: '1: the front goes first, the back last.' }),
  ...treatmentReach,
});
export type Shatter = ValueOf<typeof ShatterForm>;

export const shatter: TreatmentDefinition<Shatter, ShatterValues> = {
  kind: 'shatter',
  label: 'Shatter',
  describe: 'Breaks each body into pieces that fly and turn',
  sort: 'piece',
  solidOnly: true,
  form: ShatterForm,
  kernel: shatterKernel,
  values: (t, _, phase) => ({
    seed: t.seed,
    amount: evaluateAnimated(t.amount, phase),
    away: t.away,
    fall: t.fall,
    turns: t.turns,
    spread: t.spread,
    stagger: t.stagger,
  }),
  widen: (t, extent) => ({
    ...extent,
    // pieces fly at most 1.75 times as far as stated, in directions at most 1.35 long
    grown: extent.grown * (1 + Math.min(1, largest(t.amount)) * (2.4 * Math.abs(t.away) + 1.75 * Math.abs(t.fall) + 1)),
  }),
  pieces: ({ pieces, seed }) => ({ count: pieces, seed }),
  summary: (t) => `${t.pieces} pieces`,
};
