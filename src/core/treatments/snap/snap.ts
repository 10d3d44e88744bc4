import { animated, form, heading, integer, tag, type ValueOf } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { noReach, treatmentBase } from '../base';
import type { TreatmentDefinition } from '../definition';

const group = heading('Snap');

const SnapForm = form({
  ...treatmentBase,
  kind: tag('snap'),
  amount: animated(1, {
    label: 'Amount',
    min: 0,
    max: 1,
    decimals: 2,
    group,
    hint: '0: moves evenly. 1: stands still between the steps.',
  }),
  steps: integer(60, {
    label: 'Steps',
    perLap: true,
    unit: 'per lap',
    min: 1,
    max: 10_000,
    comfort: 250,
    group,
    hint: 'How often the layer is shown anew in a lap; half the frames gives every second one.',
  }),
  ...noReach,
});
export type Snap = ValueOf<typeof SnapForm>;

/**
 * The moment a snapped layer shows. Steps begin on whole frames, and what is held is the frame's own moment, so the open
 * shutter sees nothing move.
 * @param phase the moment asked for, for example when the shutter opens
 * @param framePhase phase of the frame it belongs to
 * @param frames of the lap
 */
export function snappedPhase(t: Snap, phase: number, framePhase: number, frames: number): number {
  const amount = evaluateAnimated(t.amount, framePhase);
  const step = Math.floor(Math.floor(framePhase * frames + 1e-6) * (t.steps / frames) + 1e-9);
  const held = Math.ceil((step * frames) / t.steps - 1e-9) / frames;
  return phase + (held - phase) * amount;
}

export const snap: TreatmentDefinition<Snap> = {
  kind: 'snap',
  label: 'Snap',
  describe: 'Stepped motion: held, then on with a jump',
  sort: 'time',
  form: SnapForm,
  moment: snappedPhase,
  summary: (t) => `${t.steps} steps per lap`,
};
