import { AXES, AXIS_INDEX } from '../../elements/axis';
import { animated, choice, form, heading, integer, tag, type ValueOf, largest } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { treatmentBase, treatmentReach } from '../base';
import { type TreatmentDefinition } from '../definition';
import { lengthAlong, mapMiddle } from '../twist/twist';
import { taperKernel, type TaperValues } from './taper.gen';

const group = heading('Taper');

const TaperForm = form({
  ...treatmentBase,
  kind: tag('taper'),
  amount: animated(-0.6, {
    label: 'Amount',
    min: -1,
    max: 10,
    comfort: 1,
    decimals: 2,
    group,
    hint: '−1: comes to a point. 0: as it is. 1: twice as wide.',
  }),
  axis: choice('up', AXES, { label: 'Axis', group, hint: 'The line along which it narrows.' }),
  waists: integer(1, {
    label: 'Waists',
    unit: 'per tile',
    min: 1,
    max: 64,
    comfort: 6,
    group,
    when: { field: 'axis', is: ['along'] },
    hint: 'Where the layer goes on from tile to tile: how often it narrows, whole so that it tiles.',
  }),
  ...treatmentReach,
});
export type Taper = ValueOf<typeof TaperForm>;

export const taper: TreatmentDefinition<Taper, TaperValues> = {
  kind: 'taper',
  label: 'Taper',
  describe: 'Narrower or wider along an axis',
  sort: 'space',
  form: TaperForm,
  kernel: taperKernel,
  values: (t, context, phase) => ({
    amount: evaluateAnimated(t.amount, phase),
    axis: AXIS_INDEX[t.axis],
    middle: mapMiddle(t.axis, context),
    length_: lengthAlong(t.axis, context.extent, context),
    waists: t.waists,
    tiled: t.axis === 'along' && context.tiled ? 1 : 0,
  }),
  widen(t, extent) {
    const f = 1 + largest(t.amount);
    const middle = (extent.from + extent.to) / 2;
    const long = ((extent.to - extent.from) / 2) * (t.axis === 'along' ? 1 : f);
    return {
      ...extent,
      halfWidth: extent.halfWidth * f,
      halfHeight: extent.halfHeight * f,
      bend: extent.bend * f,
      from: middle - long,
      to: middle + long,
      grown: extent.grown * f,
    };
  },
  summary: (t) => `${Number((100 * largest(t.amount)).toFixed(0))} %`,
};
