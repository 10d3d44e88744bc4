import { animated, choice, form, heading, layerRef, number, tag, type ValueOf } from '../../forms';
import type { Land } from '../../noise/land';
import { evaluateAnimated } from '../../time/animated';
import { treatmentBase, treatmentReach } from '../base';
import type { TreatmentDefinition } from '../definition';
import { standKernel, type StandValues } from './stand.gen';

const group = heading('Stand');

const StandForm = form({
  ...treatmentBase,
  kind: tag('stand'),
  on: layerRef({ label: 'On', of: 'ground', group, hint: 'The ground they stand on.' }),
  amount: animated(1, {
    label: 'Amount',
    min: 0,
    max: 1,
    decimals: 2,
    group,
    hint: '0: where they were. 1: on the ground.',
  }),
  how: choice(
    'on',
    { on: 'On the ground', over: 'Over it, as high as they were' },
    { label: 'They stand', group, hint: 'All on the ground, or each as high over it as it was over nothing.' },
  ),
  foot: number(0.5, {
    label: 'Foot',
    unit: '× size',
    min: -10,
    max: 10,
    comfort: 1,
    group,
    when: { field: 'how', is: ['on'] },
    hint: 'How far an element reaches down from its middle: a body half its size, a particle nothing.',
  }),
  lift: number(0, {
    label: 'Lifted',
    unit: 'm',
    min: -1000,
    max: 1000,
    comfort: 2,
    group,
    hint: 'Metres above the ground; below 0 they are sunk in.',
  }),
  leans: number(0, {
    label: 'Leans',
    min: 0,
    max: 1,
    group,
    hint: '0: they keep upright. 1: square to the ground.',
  }),
  ...treatmentReach,
});
export type Stand = ValueOf<typeof StandForm>;

/** Where there is no ground. */
const LEVEL: Land = {
  ...{ seed: 0, relief: 0, scale: [1, 1, 1], period: [512, 512, 2], octaves: 1, form: 0, valley: 0 },
  ...{ aside: 0, above: 0 },
};

export const stand: TreatmentDefinition<Stand, StandValues> = {
  kind: 'stand',
  label: 'Stand',
  describe: 'Let down onto a ground, wherever they go on it',
  sort: 'element',
  form: StandForm,
  kernel: standKernel,
  values(t, { world }, phase) {
    const land = t.on === null ? null : world.landOf(t.on);
    const { seed, relief, scale, period, octaves, form, valley, aside, above } = land ?? LEVEL;
    return {
      ...{ seed, relief, scale, period, octaves, form, valley, lies: [aside, above] as const },
      amount: land ? evaluateAnimated(t.amount, phase) : 0,
      over: t.how === 'over' ? 1 : 0,
      foot: t.foot,
      lift: t.lift,
      leans: t.leans,
    };
  },
  widen(t, extent, { world }) {
    const land = t.on === null ? null : world.landOf(t.on);
    if (!land) return extent;
    const { above, relief } = land;
    const [low, high] = [extent.centre[1] - extent.halfHeight, extent.centre[1] + extent.halfHeight];
    const [least, most] = [above - relief + t.lift, above + relief + t.lift];
    // how far a foot is from its middle hangs on its size, which is no more than its body
    const foot = Math.abs(t.foot) * 2 * extent.body;
    const reach = t.how === 'over' ? [low + least, high + most] : [least - foot, most + foot];
    const [from, to] = [Math.min(low, reach[0]), Math.max(high, reach[1])];
    return {
      ...extent,
      halfHeight: (to - from) / 2,
      centre: [extent.centre[0], (from + to) / 2],
      tilted: t.leans > 0 ? 1 : extent.tilted,
    };
  },
  summary: (t) => (t.on === null ? 'on nothing yet' : t.how === 'over' ? 'over the ground' : 'on the ground'),
};
