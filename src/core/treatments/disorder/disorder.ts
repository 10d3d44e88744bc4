import { carriedFarther, sineOf } from '../../elements/extent';
import { animated, form, heading, number, tag, type ValueOf, largest } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { treatmentBase, treatmentReach } from '../base';
import type { TreatmentDefinition } from '../definition';
import { disorderKernel, type DisorderValues } from './disorder.gen';

const group = heading('Disorder');
const metres = { unit: 'm', min: 0, max: 10_000, comfort: 4, group };

const DisorderForm = form({
  ...treatmentBase,
  kind: tag('disorder'),
  amount: animated(1, {
    label: 'Amount',
    min: -10,
    max: 10,
    comfort: 1,
    decimals: 2,
    group,
    hint: '0: in order. 1: all of what is stated below. Keyed from 1 to 0 the layer puts itself together.',
  }),
  shiftX: number(0.2, { label: 'Aside', ...metres, hint: 'Most metres to either side.' }),
  shiftY: number(0.2, { label: 'Up and down', ...metres, hint: 'Most metres up or down.' }),
  shiftZ: number(0.2, { label: 'Along', ...metres, hint: 'Most metres along the travel.' }),
  turns: number(0.05, {
    label: 'Turned',
    unit: 'turns',
    min: 0,
    max: 10,
    comfort: 0.5,
    decimals: 3,
    group,
    hint: 'Most turns about an axis of its own.',
  }),
  spread: number(0.1, {
    label: 'Scaled',
    unit: '×',
    min: 0,
    max: 20,
    comfort: 2,
    group,
    hint: '0: as it is. 2: up to three times larger or smaller.',
  }),
  ...treatmentReach,
});
export type Disorder = ValueOf<typeof DisorderForm>;

export const disorder: TreatmentDefinition<Disorder, DisorderValues> = {
  kind: 'disorder',
  label: 'Disorder',
  describe: 'Shifts, turns and scales every element by chance',
  sort: 'element',
  form: DisorderForm,
  kernel: disorderKernel,
  values: (t, _, phase) => ({
    seed: t.seed,
    amount: evaluateAnimated(t.amount, phase),
    shift: [t.shiftX, t.shiftY, t.shiftZ],
    turns: t.turns,
    spread: t.spread,
  }),
  widen: (t, extent) => ({
    ...carriedFarther(extent, largest(t.amount) * Math.hypot(t.shiftX, t.shiftY, t.shiftZ)),
    grown: extent.grown * (1 + t.spread) ** largest(t.amount),
    tilted: Math.max(extent.tilted, sineOf(largest(t.amount) * t.turns)),
  }),
  summary: (t) => `up to ${Number(Math.max(t.shiftX, t.shiftY, t.shiftZ).toFixed(2))} m`,
};
