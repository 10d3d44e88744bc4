import { halfDiagonal, middleOf, rounded } from '../../elements/extent';
import { AXES, AXIS_VECTOR } from '../../elements/axis';
import { animated, choice, flag, form, heading, integer, tag, type ValueOf } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { treatmentBase, treatmentReach } from '../base';
import { type TreatmentDefinition } from '../definition';
import { turnKernel, type TurnValues } from './turn.gen';

const group = heading('Turn');

const TurnForm = form({
  ...treatmentBase,
  kind: tag('turn'),
  amount: animated(
    { law: 'wound', start: 0, perLap: 1 },
    {
      label: 'Turns',
      unit: 'turns',
      min: -1000,
      max: 1000,
      comfort: 2,
      decimals: 3,
      group,
      hint: 'Wound, it closes after whole turns, or after steps under which the layer looks the same.',
    },
  ),
  what: choice(
    'all',
    { all: 'All together', each: 'Each by itself' },
    { label: 'Turns', group, hint: 'All about one common axis through the middle, or each about its own centre.' },
  ),
  axis: choice('along', AXES, { label: 'Axis', group, hint: 'The line it turns about.' }),
  speeds: integer(1, {
    label: 'Speeds',
    min: 1,
    max: 12,
    comfort: 5,
    group,
    when: { field: 'what', is: ['each'] },
    hint: 'Each turns 1 to this many times as often; whole, so that all come back.',
  }),
  bothWays: flag(false, {
    label: 'Both ways',
    group,
    when: { field: 'what', is: ['each'] },
    hint: 'Half of them turn the other way.',
  }),
  ...treatmentReach,
});
export type Turn = ValueOf<typeof TurnForm>;

export const turn: TreatmentDefinition<Turn, TurnValues> = {
  kind: 'turn',
  label: 'Turn',
  describe: 'Turns all together or each by itself',
  sort: 'element',
  form: TurnForm,
  kernel: turnKernel,
  values: (t, context, phase) => ({
    seed: t.seed,
    amount: evaluateAnimated(t.amount, phase),
    each: t.what === 'each' ? 1 : 0,
    axis: AXIS_VECTOR[t.axis],
    pivot: middleOf(context.extent),
    speeds: t.speeds,
    ways: t.bothWays ? 1 : 0,
  }),
  widen(t, extent) {
    if (t.what === 'each') return t.axis === 'along' ? extent : { ...extent, tilted: 1 };
    if (t.axis !== 'along') return { ...rounded(extent, halfDiagonal(extent) + extent.bend), tilted: 1 };
    const radius = Math.hypot(extent.halfWidth, extent.halfHeight);
    return { ...extent, halfWidth: radius, halfHeight: radius };
  },
  // where it acts only in part an element turns by a part of the whole turns, and must come back the way it went
  closingSteps: (t, context) => ({
    amount: t.reach === 'everywhere' ? context.turnStep(t.axis, t.what === 'each') : 0,
  }),
  summary: (t) =>
    t.what === 'each'
      ? 'each by itself'
      : `about the ${{ along: 'travel', up: 'upright', aside: 'cross' }[t.axis]} axis`,
};
