import { boxOf, carriedFarther } from '../../elements/extent';
import { fitNoise } from '../../noise/fit';
import { momentOf, type MomentNoise, type MomentTable } from '../../noise/moment';
import { animated, choice, form, heading, integer, number, tag, type ValueOf, largest } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { treatmentBase, treatmentReach } from '../base';
import type { TreatmentContext, TreatmentDefinition } from '../definition';
import { driftInto, driftKernel, type DriftValues } from './drift.gen';

const group = heading('Drift');

const gathering = { field: 'gathers', is: ['threads', 'veils', 'clumps'] };

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
    perLap: true,
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
  gathers: choice(
    'no',
    { no: 'No', threads: 'Into threads', veils: 'Into veils', clumps: 'Into clumps' },
    {
      label: 'Gathers',
      group,
      hint: 'Draws elements together into filaments, thin walls or heaps, and leaves voids between them.',
    },
  ),
  gather: animated(0.9, {
    label: 'How far',
    min: -1,
    max: 1,
    comfort: 1,
    group,
    when: gathering,
    hint: '0: not at all. 1: all the way there. Below 0 it empties what it would fill.',
  }),
  gatherScale: number(4, {
    label: 'Apart',
    unit: 'm',
    min: 0.05,
    max: 500,
    comfort: 10,
    group,
    when: gathering,
    hint: 'Metres, about, from one thread, veil or clump to the next; fitted so that it tiles.',
  }),
  gatherCycles: number(1, {
    label: 'Shifts',
    perLap: true,
    unit: 'cycles per lap',
    min: 0,
    max: 64,
    comfort: 4,
    decimals: 2,
    group,
    when: gathering,
    hint: 'Most cycles what they gather into makes in a lap; whole numbers close, 0 stands still.',
  }),
  ...treatmentReach,
});
export type Drift = ValueOf<typeof DriftForm>;

/** The farthest one octave carries an element, in units of the amount (of two million places and times the largest was 3.72). */
const REACH = 4;

/** The farthest anything is drawn, in units of the largest of their lattice: two steps of gathered() in drift.glsl. */
const DRAWN = 0.8;

/** What drift.glsl adds to the seed for its noises: of what swirls, and of what gathers. */
const [AIR_SEED, PULL_SEED] = [11, 31];

interface Sampled {
  /** metres */
  size: number;
  cycles: number;
  /** to the seed */
  added: number;
  potentials: MomentNoise['potentials'];
  /** how often every element reads it, the octaves beside */
  reads: number;
}

/** One of its noises at a phase, and the table of that moment. */
function noiseAt(
  t: Drift,
  context: TreatmentContext,
  phase: number,
  { size, cycles, added, potentials, reads }: Sampled,
): MomentNoise & MomentTable {
  const whole = Math.max(1, Math.round(cycles));
  const noise = {
    ...fitNoise(size, context.world.tile),
    seed: t.seed + added,
    potentials,
    // whole cycles leave the phase as it is; others run the whole count slower or faster, and do not come back
    lap: (phase * cycles) / whole,
    cycles: whole,
    octaves: potentials === 3 ? t.octaves : 1,
  };
  return { ...noise, ...momentOf(noise, boxOf(context.extent), reads * context.elements) };
}

export const drift: TreatmentDefinition<Drift, DriftValues> = {
  kind: 'drift',
  label: 'Drift',
  describe: 'Carried by swirling air',
  sort: 'element',
  form: DriftForm,
  kernel: driftKernel,
  values(t, context, phase) {
    const air = noiseAt(t, context, phase, {
      size: t.scale,
      cycles: t.cycles,
      added: AIR_SEED,
      potentials: 3,
      reads: 1,
    });
    const gathers = t.gathers !== 'no';
    const pull = noiseAt(t, context, phase, {
      size: t.gatherScale,
      cycles: t.gatherCycles,
      added: PULL_SEED,
      potentials: 2,
      reads: gathers ? 2 : 0,
    });
    return {
      seed: t.seed,
      amount: evaluateAnimated(t.amount, phase),
      scale: air.scale,
      period: air.period,
      cycles: air.cycles,
      octaves: t.octaves,
      lap: air.lap,
      air: air.table,
      airFrom: air.from,
      airSize: air.size,
      airOctaves: air.octaves,
      into: driftInto[t.gathers],
      gather: evaluateAnimated(t.gather, phase),
      pullScale: pull.scale,
      pullPeriod: pull.period,
      pullCycles: pull.cycles,
      pullLap: pull.lap,
      pull: pull.table,
      pullFrom: pull.from,
      pullSize: pull.size,
      pullOctaves: pull.octaves,
    };
  },
  widen: (t, extent, { world }) => {
    const apart = 1 / Math.min(...fitNoise(t.gatherScale, world.tile).scale);
    const drawn = t.gathers === 'no' ? 0 : DRAWN * apart * largest(t.gather);
    return carriedFarther(extent, drawn + REACH * largest(t.amount) * (2 - 2 ** (1 - t.octaves)));
  },
  closingSteps: () => ({ cycles: 1, gatherCycles: 1 }),
  summary: (t) => `${Number(t.scale.toFixed(2))} m swirls${t.gathers === 'no' ? '' : `, into ${t.gathers}`}`,
};
