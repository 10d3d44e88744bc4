import { courseValues } from '../../elements/course';
import { carriedFarther, halfDiagonal, middleOf } from '../../elements/extent';
import { animated, choice, flag, form, heading, number, tag, type ValueOf } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { treatmentBase, treatmentReach } from '../base';
import type { TreatmentContext, TreatmentDefinition } from '../definition';
import { staggerBy, staggerEase, staggerKernel, type StaggerValues } from './stagger.gen';

const group = heading('Stagger');
const BY = { order: 'In order', chance: 'By chance', along: 'Along the route', outward: 'From the middle outwards' };
const EASES = {
  even: 'Even',
  smooth: 'Smooth',
  settle: 'Fast, then settles',
  over: 'Over the mark and back',
  rebound: 'Rebounds',
};
const metres = { unit: 'm', min: -10_000, max: 10_000, comfort: 5, group };

const StaggerForm = form({
  ...treatmentBase,
  kind: tag('stagger'),
  amount: animated(
    {
      law: 'keyed',
      keys: [
        { id: 'k0', at: 0.04, value: 0, ease: [0, 0, 1, 1] },
        { id: 'k1', at: 0.42, value: 1, ease: 'hold' },
        { id: 'k2', at: 0.6, value: 1, ease: [0, 0, 1, 1] },
        { id: 'k3', at: 0.98, value: 0, ease: 'hold' },
      ],
    },
    {
      label: 'Progress',
      min: 0,
      max: 1,
      comfort: 1,
      decimals: 2,
      group,
      hint: '0: none has arrived. 1: all are there.',
    },
  ),
  by: choice('order', BY, { label: 'One after another', group, hint: 'What decides whose turn it is.' }),
  backward: flag(false, { label: 'Backwards', group, hint: 'The last comes first.' }),
  overlap: number(0.25, {
    label: 'Overlap',
    min: 0.005,
    max: 1,
    group,
    hint: 'Share of the way that one element takes: small, strictly one by one; 1, all at once.',
  }),
  ease: choice('settle', EASES, { label: 'Arrives', group, hint: 'How each element comes to its place.' }),
  grow: number(1, { label: 'Grows', min: 0, max: 1, group, hint: '1: from no size at all.' }),
  fade: number(0, { label: 'Fades in', min: 0, max: 1, group, hint: '1: from nothing.' }),
  blur: number(0, {
    label: 'Sharpens from',
    ...metres,
    min: 0,
    comfort: 1,
    hint: 'Metres that a body’s blur is wide at first, in the form of the lens’s own; it comes into focus as it arrives.',
  }),
  fromX: number(0, { label: 'From aside', ...metres, hint: 'Metres to the right it comes from.' }),
  fromY: number(0, { label: 'From above', ...metres, hint: 'Metres above it comes from.' }),
  fromZ: number(0, { label: 'From ahead', ...metres, hint: 'Metres ahead it comes from.' }),
  turns: number(0, {
    label: 'Turning',
    unit: 'turns',
    min: -20,
    max: 20,
    comfort: 1,
    decimals: 2,
    group,
    hint: 'Turns it makes on the way.',
  }),
  ...treatmentReach,
});
export type Stagger = ValueOf<typeof StaggerForm>;

/** Metres that count as the whole way for ranks by place. */
export const spanOf = (by: string, context: TreatmentContext): number =>
  by === 'outward'
    ? Math.max(1e-3, halfDiagonal(context.extent))
    : context.tiled
      ? context.world.tile
      : Math.max(1e-3, context.extent.to - context.extent.from);

export const stagger: TreatmentDefinition<Stagger, StaggerValues> = {
  kind: 'stagger',
  label: 'Stagger',
  describe: 'Appear and grow one after another',
  sort: 'element',
  form: StaggerForm,
  kernel: staggerKernel,
  values: (t, context, phase) => ({
    seed: t.seed,
    amount: evaluateAnimated(t.amount, phase),
    by: staggerBy[t.by],
    pivot: middleOf(context.extent),
    span: spanOf(t.by, context),
    overlap: t.overlap,
    ease: staggerEase[t.ease],
    backward: t.backward ? 1 : 0,
    grow: t.grow,
    fadeIn: t.fade,
    soft: t.blur,
    from: [t.fromX, t.fromY, -t.fromZ],
    turns: t.turns,
    ...courseValues(context.route),
  }),
  // one that goes over its mark comes from a tenth beyond it
  widen: (t, extent) => ({
    ...carriedFarther(extent, 1.1 * Math.hypot(t.fromX, t.fromY, t.fromZ)),
    grown: extent.grown * 1.1,
    tilted: t.turns === 0 ? extent.tilted : 1,
  }),
  oneByOne: true,
  summary: (t) => BY[t.by].toLowerCase(),
};
