import type { Vec3 } from '../../../space/vector';
import { form, tag, type ValueOf } from '../../../forms';
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
import { inBall, radius } from '../size';
import { reaching, standing } from '../standing';

const PointForm = form({
  ...lightBase,
  kind: tag('point'),
  ...brightness('#ffd9a0', 2),
  ...standing([0, 1.5, 3]),
  ...reaching(12),
  ...radius(0.05),
  ...inAir,
  ...lightShadow(false),
  ...lightStretch,
});
export type PointLight = ValueOf<typeof PointForm>;

export const point: LightDefinition<PointLight> = {
  kind: 'point',
  label: 'Point',
  describe: 'A lamp in the world that shines every way, and less with the square of the distance.',
  form: PointForm,
  placed: true,
  at: (light, phase, { place }) => ({
    colour: dimmed(light.colour, light.dimmer, phase),
    strength: Math.PI * evaluateAnimated(light.strength, phase),
    from: [0, 1, 0],
    place,
    size: evaluateAnimated(light.radius, phase),
    reach: evaluateAnimated(light.reach, phase),
    beam: evaluateAnimated(light.beam, phase),
  }),
  sees: ({ shadow }) => (shadow ? { as: 'around' } : null),
  pointOf: (light, phase, at) => inBall(evaluateAnimated(light.radius, phase), at),
  figure: (light, phase) =>
    [0, 1, 2].map((axis): Vec3[] => {
      const half = Math.max(0.12, evaluateAnimated(light.radius, phase));
      const end = (side: number): Vec3 => [0, 1, 2].map((k) => (k === axis ? side * half : 0)) as Vec3;
      return [end(-1), end(1)];
    }),
  summary: (light, phase) =>
    `${strengthWords(light.strength, phase)} · to ${evaluateAnimated(light.reach, phase).toFixed(1)} m${light.shadow ? ' · shadows' : ''}`,
};
