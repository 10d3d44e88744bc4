import { animated, choice, form, heading, number, picture, tag, type ValueOf } from '../../../forms';
import { rotate, type Vec3 } from '../../../space/vector';
import { evaluateAnimated } from '../../../time/animated';
import {
  brightness,
  dimmed,
  inAir,
  lightBase,
  lightShadow,
  lightStretch,
  strengthWords,
  type LightDefinition,
} from '../definition';
import { onDisc, radius } from '../size';
import { aiming, aimingSteps, reaching, standing } from '../standing';

const beam = heading('Beam');
const mask = heading('Pattern');

/** The number that the program of spots has for each pattern. */
export const MASKS = { none: 0, bars: 1, panes: 2, rings: 3, rays: 4, leaves: 5, lattice: 6, picture: 7 } as const;

const masked = { field: 'mask', is: ['bars', 'panes', 'rings', 'rays', 'leaves', 'lattice', 'picture'] };

const SpotForm = form({
  ...lightBase,
  kind: tag('spot'),
  ...brightness('#fff1dc', 8),
  ...standing([0, 3.5, 3]),
  ...aiming(0, -90),
  ...reaching(20),
  cone: animated(44, {
    label: 'Cone',
    unit: '°',
    min: 1,
    max: 160,
    comfort: 90,
    decimals: 1,
    group: beam,
    hint: 'Degrees from edge to edge of its beam.',
  }),
  edge: animated(0.25, {
    label: 'Soft edge',
    min: 0,
    max: 1,
    group: beam,
    hint: 'Share of the beam over which it fades towards its edge.',
  }),
  ...radius(0.06),
  mask: choice(
    'none',
    {
      none: 'None',
      bars: 'Bars',
      panes: 'Window',
      rings: 'Rings',
      rays: 'Rays',
      leaves: 'Leaves',
      lattice: 'Lattice',
      picture: 'A picture',
    },
    { label: 'Pattern', group: mask, hint: 'What is held before the lamp: its light falls through the gaps.' },
  ),
  maskPicture: picture({
    label: 'Picture',
    group: mask,
    pixels: 128,
    when: { field: 'mask', is: ['picture'] },
    hint: 'A slide held before the lamp: its light takes the colours of it, and where that is black none comes through. Kept in the piece at 128 pixels a side.',
  }),
  maskScale: number(1, {
    label: 'Size',
    unit: '×',
    min: 0.1,
    max: 20,
    comfort: 4,
    group: mask,
    when: masked,
    hint: 'How large the pattern is beside the beam.',
  }),
  maskTurn: animated(0, {
    label: 'Turned',
    unit: 'turns',
    min: -64,
    max: 64,
    comfort: 1,
    decimals: 3,
    group: mask,
    when: masked,
    hint: 'Turns of the pattern about the beam; wound, whole turns close.',
  }),
  maskRun: number(0, {
    label: 'Moves on by',
    perLap: true,
    unit: 'steps a lap',
    min: -64,
    max: 64,
    comfort: 8,
    decimals: 0,
    group: mask,
    when: masked,
    hint: 'Whole steps of the pattern that it slides across the beam, or grows out of its middle, in a lap.',
  }),
  maskSoft: number(0.15, {
    label: 'Blurred',
    min: 0,
    max: 1,
    group: mask,
    when: masked,
    hint: '0 draws the pattern sharply, as a focused projector does.',
  }),
  ...inAir,
  ...lightShadow(true),
  ...lightStretch,
});
export type Spot = ValueOf<typeof SpotForm>;

const DEGREE = Math.PI / 180;
const halfOf = (light: Spot, phase: number): number => (evaluateAnimated(light.cone, phase) * DEGREE) / 2;

export const spot: LightDefinition<Spot> = {
  kind: 'spot',
  label: 'Spot',
  describe: 'A lamp in the world that shines one way, in a cone, perhaps through a pattern.',
  form: SpotForm,
  placed: true,
  slide: (light) => (light.mask === 'picture' ? light.maskPicture : null),
  closingSteps: { ...aimingSteps, maskTurn: 1, maskRun: 1 },
  at: (light, phase, { place, rotation }) => {
    const half = halfOf(light, phase);
    const edge = evaluateAnimated(light.edge, phase);
    return {
      colour: dimmed(light.colour, light.dimmer, phase),
      strength: Math.PI * evaluateAnimated(light.strength, phase),
      from: rotate(rotation, [0, 0, 1]),
      side: rotate(rotation, [1, 0, 0]),
      place,
      size: evaluateAnimated(light.radius, phase),
      reach: evaluateAnimated(light.reach, phase),
      beam: evaluateAnimated(light.beam, phase),
      own: [
        Math.cos(half),
        // where the edge begins: a share of the angle
        Math.cos(half * (1 - edge)),
        Math.tan(half),
        MASKS[light.mask],
        1 / light.maskScale,
        evaluateAnimated(light.maskTurn, phase),
        light.maskRun * phase,
        light.maskSoft,
      ],
      round: [5, 6],
    };
  },
  sees: (light, phase) => (light.shadow ? { as: 'cone', half: halfOf(light, phase) } : null),
  pointOf: (light, phase, at) => onDisc(evaluateAnimated(light.radius, phase), at),
  figure(light, phase, away) {
    // a cone wider than a right angle is drawn as one that wide
    const wide = away * Math.tan(Math.min(halfOf(light, phase), Math.PI / 3));
    const edge = Array.from({ length: 33 }, (_, i): Vec3 => {
      const a = (i / 16) * Math.PI;
      return [wide * Math.cos(a), wide * Math.sin(a), -away];
    });
    return [edge, ...[0, 8, 16, 24].map((i): Vec3[] => [[0, 0, 0], edge[i]])];
  },
  summary: (light, phase) =>
    `${strengthWords(light.strength, phase)} · ${evaluateAnimated(light.cone, phase).toFixed(0)}°${light.mask === 'none' ? '' : ` · ${light.mask}`}${light.shadow ? ' · shadows' : ''}`,
};
