import { middleOf, type Extent } from '../../elements/extent';
import { AXES, AXIS_INDEX, type Axis } from '../../elements/axis';
import { animated, choice, form, heading, tag, type ValueOf, largest } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { treatmentBase, treatmentReach } from '../base';
import { type TreatmentContext, type TreatmentDefinition } from '../definition';
import { twistKernel, type TwistValues } from './twist.gen';

const group = heading('Twist');

const TwistForm = form({
  ...treatmentBase,
  kind: tag('twist'),
  amount: animated(0.25, {
    label: 'Turns',
    unit: 'turns',
    min: -100,
    max: 100,
    comfort: 1,
    decimals: 3,
    group,
    hint: 'Turns from one end to the other; where the layer goes on from tile to tile, steps of its symmetry close.',
  }),
  axis: choice('along', AXES, { label: 'Axis', group, hint: 'The line space is twisted about.' }),
  ...treatmentReach,
});
export type Twist = ValueOf<typeof TwistForm>;

/** Metres of an extent along an axis: a whole tile where the layer goes on. */
export const lengthAlong = (axis: Axis, extent: Extent, context: TreatmentContext): number =>
  axis === 'along'
    ? context.tiled
      ? context.world.tile
      : Math.max(1e-3, extent.to - extent.from)
    : Math.max(1e-3, 2 * (axis === 'up' ? extent.halfHeight : extent.halfWidth));

/** Where a tiled map begins: at the start of the tile, so that neighbours meet. */
export const mapMiddle = (axis: Axis, context: TreatmentContext): [number, number, number] =>
  axis === 'along' && context.tiled
    ? [context.extent.centre[0], context.extent.centre[1], 0]
    : middleOf(context.extent);

export const twist: TreatmentDefinition<Twist, TwistValues> = {
  kind: 'twist',
  label: 'Twist',
  describe: 'Space turned more and more along an axis',
  sort: 'space',
  form: TwistForm,
  kernel: twistKernel,
  values: (t, context, phase) => ({
    amount: evaluateAnimated(t.amount, phase),
    axis: AXIS_INDEX[t.axis],
    middle: mapMiddle(t.axis, context),
    length_: lengthAlong(t.axis, context.extent, context),
    tiled: t.axis === 'along' && context.tiled ? 1 : 0,
  }),
  widen(t, extent) {
    const long = (extent.to - extent.from) / 2;
    const across = Math.hypot(extent.halfWidth, extent.halfHeight) + extent.bend;
    const middle = (extent.from + extent.to) / 2;
    if (t.axis === 'along') return { ...extent, halfWidth: across, halfHeight: across };
    const [keep, turned] =
      t.axis === 'up' ? (['halfHeight', 'halfWidth'] as const) : (['halfWidth', 'halfHeight'] as const);
    const radius = Math.hypot(extent[turned], long);
    return { ...extent, [keep]: extent[keep], [turned]: radius, from: middle - radius, to: middle + radius };
  },
  tileSteps: (t, context): Record<string, number> =>
    t.axis === 'along' && context.tiled ? { amount: context.turnStep('along', false) } : {},
  summary: (t) => `${Number(largest(t.amount).toFixed(2))} turns`,
};
