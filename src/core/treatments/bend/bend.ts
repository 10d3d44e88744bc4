import { carriedFarther, halfDiagonal, rounded } from '../../elements/extent';
import { AXES, AXIS_INDEX } from '../../elements/axis';
import { animated, choice, form, heading, number, tag, type ValueOf, largest } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { treatmentBase, treatmentReach } from '../base';
import { type TreatmentDefinition } from '../definition';
import { lengthAlong, mapMiddle } from '../twist/twist';
import { bendKernel, type BendValues } from './bend.gen';

const group = heading('Bend');

const BendForm = form({
  ...treatmentBase,
  kind: tag('bend'),
  amount: animated(90, {
    label: 'Angle',
    unit: '°',
    min: -3600,
    max: 3600,
    comfort: 180,
    decimals: 1,
    group,
    hint: 'Degrees of the whole arc. Where the layer goes on from tile to tile it sways instead, ten degrees a metre.',
  }),
  heading: animated(0, {
    label: 'Towards',
    unit: '°',
    min: -36_000,
    max: 36_000,
    comfort: 180,
    decimals: 1,
    group,
    hint: 'The side it bends to, in degrees; it may turn without anything sliding.',
  }),
  axis: choice('up', AXES, { label: 'Axis', group, hint: 'The line that becomes an arc.' }),
  anchor: number(0, {
    label: 'Holds at',
    min: -0.5,
    max: 0.5,
    decimals: 2,
    group,
    hint: 'The place along the axis that stays where it is: −0.5 one end, 0 the middle, 0.5 the other end.',
  }),
  ...treatmentReach,
});
export type Bend = ValueOf<typeof BendForm>;

/** Where it sways, ten degrees count as a metre: the same dial has a useful range in both forms. */
const DEGREES_PER_METRE = 10;

export const bend: TreatmentDefinition<Bend, BendValues> = {
  kind: 'bend',
  label: 'Bend',
  describe: 'Into an arc, to a side that may turn',
  sort: 'space',
  form: BendForm,
  kernel: bendKernel,
  values(t, context, phase) {
    const tiled = t.axis === 'along' && context.tiled;
    const degrees = evaluateAnimated(t.amount, phase);
    return {
      amount: tiled ? degrees / DEGREES_PER_METRE : degrees / 360,
      heading: evaluateAnimated(t.heading, phase) / 360,
      axis: AXIS_INDEX[t.axis],
      middle: mapMiddle(t.axis, context),
      length_: lengthAlong(t.axis, context.extent, context),
      anchor: t.anchor,
      tiled: tiled ? 1 : 0,
    };
  },
  widen: (t, extent, context) =>
    t.axis === 'along' && context.tiled
      ? carriedFarther(extent, largest(t.amount) / DEGREES_PER_METRE)
      : rounded(extent, 2 * halfDiagonal(extent) + extent.bend),
  closingSteps: () => ({ heading: 360 }),
  summary: (t) => `${Number(largest(t.amount).toFixed(0))}°`,
};
