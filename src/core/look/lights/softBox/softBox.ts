import { animated, form, heading, number, tag, type ValueOf } from '../../../forms';
import { rotate, type Vec3 } from '../../../space/vector';
import { evaluateAnimated } from '../../../time/animated';
import {
  brightness,
  dimmed,
  lightBase,
  lightShadow,
  lightStretch,
  strengthWords,
  type LightDefinition,
} from '../definition';
import { aiming, aimingSteps, reaching, standing } from '../standing';
import { facingFactor } from './factor';

const box = heading('Box');
const side = { unit: 'm', min: 0.01, max: 1000, comfort: 6, decimals: 2, group: box };

const SoftBoxForm = form({
  ...lightBase,
  kind: tag('softBox'),
  ...brightness('#ffffff', 4),
  ...standing([-2, 3, 3]),
  ...aiming(40, -40),
  ...reaching(20),
  wide: animated(1.6, { label: 'Width', ...side, hint: 'Metres from side to side.' }),
  high: animated(1, { label: 'Height', ...side, hint: 'Metres from edge to edge.' }),
  soft: number(0.3, {
    label: 'Softness',
    min: 0,
    max: 1,
    group: box,
    hint: 'How much it falls off towards its edges: 0 is as bright there as in its middle.',
  }),
  ...lightShadow(true),
  ...lightStretch,
});
export type SoftBox = ValueOf<typeof SoftBoxForm>;

/** Half sides of the even rectangle that stands for one that falls off towards its edges; it gives as much light. */
const halvesOf = ({ wide, high, soft }: SoftBox, phase: number): [number, number] => {
  const even = (1 - 0.35 * soft) / 2;
  return [even * evaluateAnimated(wide, phase), even * evaluateAnimated(high, phase)];
};

/** Angle from its middle within which its shadow is looked for; beyond it little of its light is left. */
const SEES = (65 * Math.PI) / 180;

export const softBox: LightDefinition<SoftBox> = {
  kind: 'softBox',
  label: 'Soft box',
  describe: 'A bright rectangle in the world that shines one way: soft light, and a highlight of its own shape.',
  form: SoftBoxForm,
  placed: true,
  closingSteps: aimingSteps,
  at(light, phase, { place, rotation }) {
    const [x, y] = halvesOf(light, phase);
    return {
      colour: dimmed(light.colour, light.dimmer, phase),
      // its radiance: however large it is, matt white one metre before it is as bright as its strength says
      strength: evaluateAnimated(light.strength, phase) / facingFactor(2 * x, 2 * y, 1),
      from: rotate(rotation, [0, 0, 1]),
      side: rotate(rotation, [1, 0, 0]),
      place,
      reach: evaluateAnimated(light.reach, phase),
      own: [x, y],
    };
  },
  sees: ({ shadow }) => (shadow ? { as: 'cone', half: SEES } : null),
  figure(light, phase, away) {
    const [x, y] = [evaluateAnimated(light.wide, phase) / 2, evaluateAnimated(light.high, phase) / 2];
    const face: Vec3[] = [
      [-x, -y, 0],
      [x, -y, 0],
      [x, y, 0],
      [-x, y, 0],
      [-x, -y, 0],
    ];
    return [
      face,
      [
        [0, 0, 0],
        [0, 0, -Math.min(away, Math.max(x, y))],
      ],
    ];
  },
  pointOf(light, phase, [u, v]) {
    const [x, y] = halvesOf(light, phase);
    return [x * (2 * u - 1), y * (2 * v - 1), 0];
  },
  summary: (light, phase) =>
    `${evaluateAnimated(light.wide, phase).toFixed(1)} × ${evaluateAnimated(light.high, phase).toFixed(1)} m · ${strengthWords(light.strength, phase)}${light.shadow ? ' · shadows' : ''}`,
};
