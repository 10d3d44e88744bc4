import { carriedFarther } from '../../elements/extent';
import { animated, form, FRAMES, heading, integer, number, tag, type ValueOf } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { wholeFrame, type OnFrames } from '../../time/exposure';
import { treatmentBase, treatmentReach } from '../base';
import type { TreatmentDefinition } from '../definition';
import { leapKernel, type LeapValues } from './leap.gen';

const group = heading('Leap');
const metres = { unit: 'm', min: 0, max: 10_000, comfort: 4, group };
const frames = { ...FRAMES, min: 0, max: 100_000, comfort: 250, group };

const LeapForm = form({
  ...treatmentBase,
  kind: tag('leap'),
  amount: animated(1, {
    label: 'Amount',
    min: 0,
    max: 1,
    decimals: 2,
    group,
    hint: '0: all are in their places. 1: they jump the whole way.',
  }),
  begins: integer(12, {
    label: 'Begins',
    moment: false,
    ...frames,
    hint: 'Frame on which the first element is there.',
  }),
  leaves: integer(200, {
    label: 'Leaves',
    moment: false,
    ...frames,
    hint: 'Frame on which the first is gone again; the same as the one before: each comes as it leaves.',
  }),
  steps: integer(4, {
    label: 'Jumps',
    min: 1,
    max: 60,
    comfort: 12,
    group,
    hint: 'Jumps that each makes into its place.',
  }),
  every: integer(3, {
    label: 'Every',
    ...FRAMES,
    min: 1,
    max: 1000,
    comfort: 12,
    group,
    hint: 'Frames that it stands still between two jumps.',
  }),
  wait: integer(16, {
    label: 'One by one',
    ...frames,
    comfort: 60,
    hint: 'Frames from the first one’s turn to the last one’s.',
  }),
  spreadX: number(1.2, { label: 'Off aside', ...metres, hint: 'Most metres to either side at first.' }),
  spreadY: number(0.5, { label: 'Off up and down', ...metres, hint: 'Most metres up or down at first.' }),
  spreadZ: number(0.5, { label: 'Off along', ...metres, hint: 'Most metres along the travel at first.' }),
  away: number(3, {
    label: 'From ahead',
    ...metres,
    min: -10_000,
    hint: 'Metres farther ahead at first; negative, nearer.',
  }),
  grown: number(1, {
    label: 'Size at first',
    unit: '×',
    min: 0.01,
    max: 100,
    comfort: 4,
    decimals: 2,
    group,
    hint: 'How many times as large it is at first.',
  }),
  ...treatmentReach,
});
export type Leap = ValueOf<typeof LeapForm> & OnFrames;

/** Elements that jump on whole frames, so that the open shutter never sees them move. */
export const leap: TreatmentDefinition<Leap, LeapValues> = {
  kind: 'leap',
  label: 'Leap',
  describe: 'Jump into place one after another, on whole frames',
  sort: 'element',
  form: LeapForm,
  kernel: leapKernel,
  onFrames: true,
  values(t, { world }, phase) {
    const lap = world.frames;
    const lasts = (((t.leaves - t.begins) % lap) + lap) % lap;
    return {
      seed: t.seed,
      amount: evaluateAnimated(t.amount, wholeFrame(t, phase, lap)),
      frame: Math.round(wholeFrame(t, phase, lap) * lap),
      frames: lap,
      begins: t.begins,
      lasts: lasts === 0 ? lap : lasts,
      every_: t.every,
      steps: t.steps,
      wait: Math.min(t.wait, lap),
      spread: [t.spreadX, t.spreadY, t.spreadZ],
      away: [0, 0, -t.away],
      grown: t.grown,
    };
  },
  widen: (t, extent) => ({
    ...carriedFarther(extent, Math.hypot(t.spreadX, t.spreadY, t.spreadZ) + Math.abs(t.away)),
    grown: extent.grown * Math.max(1, t.grown),
  }),
  summary: (t) => `${t.steps} jumps`,
};
