import { courseValues } from '../../elements/course';
import { middleOf } from '../../elements/extent';
import { animated, choice, form, heading, integer, number, tag, type ValueOf, largest } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { treatmentBase, treatmentReach } from '../base';
import type { TreatmentDefinition } from '../definition';
import { spanOf } from '../stagger/stagger';
import { pulseBy, pulseKernel, type PulseValues } from './pulse.gen';

const group = heading('Pulse');
const BY = {
  together: 'All together',
  chance: 'Each by chance',
  along: 'In waves along the route',
  outward: 'In waves outwards',
  order: 'In waves by order',
};

const PulseForm = form({
  ...treatmentBase,
  kind: tag('pulse'),
  amount: animated(0.6, {
    label: 'Amount',
    min: 0,
    max: 20,
    comfort: 1,
    decimals: 2,
    group,
    hint: 'How strong the beat is; 1 goes from nothing to twice as bright.',
  }),
  by: choice('along', BY, { label: 'Beats', group, hint: 'Whether all beat at once or waves run through the layer.' }),
  beats: integer(2, {
    label: 'Beats',
    perLap: true,
    unit: 'per lap',
    min: -256,
    max: 256,
    comfort: 16,
    group,
    hint: 'Whole beats in a lap; negative runs the waves the other way.',
  }),
  waves: integer(2, {
    label: 'Waves',
    unit: 'at a time',
    min: 1,
    max: 100,
    comfort: 8,
    group,
    when: { field: 'by', is: ['along', 'outward', 'order'] },
    hint: 'Waves in the layer at any time; whole, so that they tile.',
  }),
  sharpness: number(2, {
    label: 'Sharpness',
    min: 0.2,
    max: 64,
    comfort: 12,
    group,
    hint: '1: an even swell. Higher: a brief flash and a long rest.',
  }),
  glow: number(1, { label: 'Brightness', min: 0, max: 4, comfort: 1, group, hint: 'How much the beat is light.' }),
  grow: number(0, { label: 'Size', min: 0, max: 4, comfort: 1, group, hint: 'How much the beat is size.' }),
  ...treatmentReach,
});
export type Pulse = ValueOf<typeof PulseForm>;

export const pulse: TreatmentDefinition<Pulse, PulseValues> = {
  kind: 'pulse',
  label: 'Pulse',
  describe: 'Brightness or size beats, in step or in waves',
  sort: 'element',
  form: PulseForm,
  kernel: pulseKernel,
  values: (t, context, phase) => ({
    seed: t.seed,
    amount: evaluateAnimated(t.amount, phase),
    by: pulseBy[t.by],
    pivot: middleOf(context.extent),
    span: spanOf(t.by, context),
    waves: t.waves,
    sharpness: t.sharpness,
    glow: t.glow,
    grow: t.grow,
    beats: t.beats,
    lap: phase,
    ...courseValues(context.route),
  }),
  widen: (t, extent) => ({ ...extent, grown: extent.grown * (1 + largest(t.amount) * t.grow) }),
  summary: (t) => `${t.beats} per lap`,
};
