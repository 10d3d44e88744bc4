import { boxOf, carriedFarther } from '../../elements/extent';
import { fitNoise } from '../../noise/fit';
import { momentOf } from '../../noise/moment';
import { animated, form, heading, integer, number, tag, type ValueOf, largest } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { treatmentBase, treatmentReach } from '../base';
import type { TreatmentDefinition } from '../definition';
import { driftKernel, type DriftValues } from './drift.gen';

const group = heading('Drift');

const DriftForm = form({
  ...treatmentBase,
  kind: tag('drift'),
  amount: animated(0.15, {
    label: 'Amount',
    unit: 'm',
    min: 0,
    max: 1000,
    comfort: 2,
    group,
    hint: 'How far the swirling air carries an element, in metres.',
  }),
  scale: number(2.5, {
    label: 'Swirl size',
    unit: 'm',
    min: 0.05,
    max: 500,
    comfort: 10,
    group,
    hint: 'Metres across one swirl; fitted so that it tiles.',
  }),
  cycles: number(3, {
    label: 'Evolves',
    unit: 'cycles per lap',
    min: 0,
    max: 64,
    comfort: 8,
    decimals: 2,
    group,
    hint: 'Most cycles the air makes in a lap; whole numbers close, 0 stands still.',
  }),
  octaves: integer(1, {
    label: 'Octaves',
    min: 1,
    max: 5,
    comfort: 5,
    group,
    hint: '1: smooth swirls. More: swirls within swirls, down to fine threads.',
  }),
  ...treatmentReach,
});
export type Drift = ValueOf<typeof DriftForm>;

/** The farthest one octave carries an element, in units of the amount (of two million places and times the largest was 3.72). */
const REACH = 4;

/** What drift.glsl adds to the seed for its noise. */
const AIR_SEED = 11;

export const drift: TreatmentDefinition<Drift, DriftValues> = {
  kind: 'drift',
  label: 'Drift',
  describe: 'Carried by swirling air',
  sort: 'element',
  form: DriftForm,
  kernel: driftKernel,
  values(t, context, phase) {
    const noise = fitNoise(t.scale, context.world.tile);
    const whole = Math.max(1, Math.round(t.cycles));
    // whole cycles leave the phase as it is; others run the whole count slower or faster, and do not come back
    const lap = (phase * t.cycles) / whole;
    const moment = momentOf(
      { ...noise, seed: t.seed + AIR_SEED, potentials: 3, lap, cycles: whole, octaves: t.octaves },
      boxOf(context.extent),
      context.elements,
    );
    return {
      seed: t.seed,
      amount: evaluateAnimated(t.amount, phase),
      ...noise,
      cycles: whole,
      octaves: t.octaves,
      lap,
      air: moment.table,
      airFrom: moment.from,
      airSize: moment.size,
      airOctaves: moment.octaves,
    };
  },
  widen: (t, extent) => carriedFarther(extent, REACH * largest(t.amount) * (2 - 2 ** (1 - t.octaves))),
  closingSteps: () => ({ cycles: 1 }),
  summary: (t) => `${Number(t.scale.toFixed(2))} m swirls`,
};
