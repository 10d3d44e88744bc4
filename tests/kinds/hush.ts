// A kind of treatment that no one ships: elements grow dim in waves along the travel.
import { animated, form, heading, integer, tag, type ValueOf } from '../../src/core/forms';
import { courseValues, STRAIGHT } from '../../src/core/elements/course';
import { evaluateAnimated } from '../../src/core/time/animated';
import { treatmentBase, treatmentReach } from '../../src/core/treatments/base';
import type { TreatmentDefinition } from '../../src/core/treatments/definition';
import { pulseBy, pulseKernel, type PulseValues } from '../../src/core/treatments/pulse/pulse.gen';

const group = heading('Hush');

const HushForm = form({
  ...treatmentBase,
  kind: tag('hush'),
  amount: animated(1, { label: 'Amount', min: 0, max: 1, group, hint: 'How dim they grow.' }),
  beats: integer(2, { label: 'Beats', unit: 'per lap', min: 1, max: 16, group, hint: 'Whole beats in a lap.' }),
  ...treatmentReach,
});
export type Hush = ValueOf<typeof HushForm>;

export const hush: TreatmentDefinition<Hush, PulseValues> = {
  kind: 'hush',
  label: 'Hush',
  describe: 'Dim in waves',
  sort: 'element',
  form: HushForm,
  kernel: pulseKernel,
  values: (t, context, phase) => ({
    seed: t.seed,
    amount: evaluateAnimated(t.amount, phase),
    by: pulseBy.along,
    pivot: [0, 0, 0],
    span: context.world.tile,
    waves: 2,
    sharpness: 2,
    glow: -0.5,
    grow: 0,
    beats: t.beats,
    lap: phase,
    ...courseValues(STRAIGHT),
  }),
  summary: ({ beats }) => `${beats} per lap`,
};
