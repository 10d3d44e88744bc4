import { animated, form, FRAMES, heading, integer, number, tag, type ValueOf } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { treatmentBase, treatmentReach } from '../base';
import type { Echo, TreatmentDefinition } from '../definition';
import { echoKernel, type EchoValues } from './echo.gen';

const group = heading('Trails');

const TrailsForm = form({
  ...treatmentBase,
  kind: tag('trails'),
  amount: animated(0.7, {
    label: 'Strength',
    min: 0,
    max: 1,
    decimals: 2,
    group,
    hint: 'Brightness of the newest trail; each older one is that share of the one before.',
  }),
  count: integer(5, { label: 'Trails', min: 1, max: 24, comfort: 12, group, hint: 'Earlier moments shown at once.' }),
  spacing: number(2, {
    label: 'Spacing',
    ...FRAMES,
    min: 0.25,
    max: 10_000,
    comfort: 12,
    decimals: 2,
    group,
    hint: 'Frames between one trail and the next.',
  }),
  ...treatmentReach,
});
export type Trails = ValueOf<typeof TrailsForm>;

/** The moments a layer with trails is shown at, the present one first. Two trails multiply. */
export function echoesOf(t: Trails, phase: number, frames: number): Echo[] {
  const strength = evaluateAnimated(t.amount, phase);
  return Array.from({ length: t.count + 1 }, (_, i) => ({
    behind: (i * t.spacing) / frames,
    light: strength ** i,
    of: i === 0 ? [] : [t.id],
  }));
}

export const trails: TreatmentDefinition<Trails, EchoValues> = {
  kind: 'trails',
  label: 'Trails',
  describe: 'Earlier moments of the same elements, fading',
  sort: 'echo',
  form: TrailsForm,
  // takes earlier moments away where the trails do not reach
  kernel: echoKernel,
  values: (t, _, __, echoOf) => ({ echo: echoOf.includes(t.id) ? 1 : 0 }),
  echoes: echoesOf,
  summary: (t) => `${t.count}, ${Number(t.spacing.toFixed(2))} frames apart`,
};
