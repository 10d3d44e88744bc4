import { animated, form, heading, tag, type ValueOf } from '../../../forms';
import { evaluateAnimated, type Animated } from '../../../time/animated';
import { effectBase, type EffectDefinition } from '../definition';
import { effectReach } from '../reach';

const side = { unit: '%', min: -1, max: 1, display: 100, decimals: 0 };

/** What a wheel turns a range of tones towards: two numbers, and one for its brightness. */
const wheel = <const N extends string>(name: N, label: string, level: Parameters<typeof animated>, rank: number) => {
  const group = heading(label, rank);
  const [initial, info] = level;
  return {
    [`${name}Red`]: animated(0, { ...side, label: 'Red', group, hint: 'Towards red; below 0 towards cyan.' }),
    [`${name}Green`]: animated(0, { ...side, label: 'Green', group, hint: 'From blue to green, across the wheel.' }),
    [name]: animated(initial, { ...info, group }),
  } as Record<N | `${N}Red` | `${N}Green`, ReturnType<typeof animated>>;
};

const tones = heading('All tones');

const GradeForm = form({
  ...effectBase,
  kind: tag('grade'),
  ...wheel(
    'lift',
    'Lift',
    [0, { label: 'Lift', min: -0.5, max: 0.5, hint: 'Raises or lowers what is dark; white stays.' }],
    0,
  ),
  ...wheel(
    'gamma',
    'Gamma',
    [1, { label: 'Gamma', min: 0.2, max: 5, comfort: 2, hint: 'Brightens or darkens what is between.' }],
    0,
  ),
  ...wheel(
    'gain',
    'Gain',
    [1, { label: 'Gain', min: 0, max: 4, comfort: 2, hint: 'Scales all light; black stays.' }],
    0,
  ),
  contrast: animated(1, {
    label: 'Contrast',
    unit: '×',
    min: 0.2,
    max: 4,
    comfort: 2,
    group: tones,
    hint: 'Steeper about the pivot; black and white stay.',
  }),
  pivot: animated(0.46, {
    label: 'Pivot',
    unit: '%',
    min: 0.05,
    max: 0.95,
    display: 100,
    decimals: 0,
    group: tones,
    hint: 'The tone that contrast leaves; 46 % is a grey card of 18 %.',
  }),
  saturation: animated(1, {
    label: 'Saturation',
    unit: '×',
    min: 0,
    max: 3,
    comfort: 2,
    group: tones,
    hint: 'Of all colours alike; 0 removes them.',
  }),
  dull: animated(0, {
    label: 'Dull colours',
    ...side,
    group: tones,
    hint: 'How much more saturated what is dull becomes; what is pure stays.',
  }),
  ...effectReach(),
});
export type Grade = ValueOf<typeof GradeForm>;

/** The ranges that have wheels, and how far a wheel's rim changes each channel. */
export const WHEELS = { lift: 0.2, gamma: 0.5, gain: 0.4 } as const;
export type Wheel = keyof typeof WHEELS;

/** The place of a wheel at a phase: right is red, left and up is green, left and down is blue; 1 is the rim. */
export const wheelAt = (effect: Grade, wheel: Wheel, phase: number): [number, number] => {
  const at = (value: Animated): number => evaluateAnimated(value, phase);
  return [at(effect[`${wheel}Red`]), at(effect[`${wheel}Green`])];
};

/** What a place on a wheel adds to red, green and blue, -1 to 1: their sum is 0. */
export const channelsOf = ([x, y]: readonly [number, number]): [number, number, number] => [
  x,
  -0.5 * x + (Math.sqrt(3) / 2) * y,
  -0.5 * x - (Math.sqrt(3) / 2) * y,
];

/** What is set at a phase, as graded() takes it. */
export function gradeAt(effect: Grade, phase: number): Record<Wheel, [number, number, number]> {
  const of = (wheel: Wheel, level: (v: number) => number): [number, number, number] =>
    channelsOf(wheelAt(effect, wheel, phase)).map((v) => level(v * WHEELS[wheel])) as [number, number, number];
  const [lift, gamma, gain] = [effect.lift, effect.gamma, effect.gain].map((v) => evaluateAnimated(v, phase));
  return {
    lift: of('lift', (v) => lift + v),
    gamma: of('gamma', (v) => gamma * 2 ** v),
    gain: of('gain', (v) => gain * 2 ** v),
  };
}

export const grade: EffectDefinition<Grade> = {
  kind: 'grade',
  label: 'Grade',
  family: 'colour',
  describe: 'Lift, gamma and gain by wheels, contrast and saturation, on what the display shows.',
  form: GradeForm,
  space: 'display',
  // dark parts cooler, bright ones warmer
  start: { liftRed: -0.2, liftGreen: -0.1, gainRed: 0.15, gainGreen: 0.05, contrast: 1.1 },
  summary: ({ contrast, saturation }, phase) =>
    `contrast ${evaluateAnimated(contrast, phase).toFixed(2)} · saturation ${evaluateAnimated(saturation, phase).toFixed(2)}`,
};
