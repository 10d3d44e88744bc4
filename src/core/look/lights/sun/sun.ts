import { animated, choice, form, tag, type ValueOf } from '../../../forms';
import { rotate } from '../../../space/vector';
import { evaluateAnimated } from '../../../time/animated';
import {
  brightness,
  dimmed,
  direction,
  directionOf,
  directionWords,
  lightBase,
  lightShadow,
  lightStretch,
  strengthWords,
  unitOf,
  type LightDefinition,
} from '../definition';
import { onDisc } from '../size';

const SunForm = form({
  ...lightBase,
  kind: tag('sun'),
  ...brightness('#ffe9cf', 0.83),
  ...direction([0.78, 0.5, 0.376]),
  hangs: choice(
    'world',
    { world: 'The world', camera: 'The camera' },
    {
      label: 'Turns with',
      hint: 'Whose right, above and behind are meant: what turns with the camera closes with any flight.',
    },
  ),
  wide: animated(2, {
    label: 'Across',
    unit: '°',
    min: 0,
    max: 90,
    comfort: 20,
    decimals: 1,
    hint: 'How large it is seen, in degrees: the larger, the softer its shadows. The real one is half a degree.',
  }),
  ...lightShadow(true),
  ...lightStretch,
});
export type Sun = ValueOf<typeof SunForm>;

/** Half of its width as a share of its distance. */
const halfOf = (light: Sun, phase: number): number => Math.tan((evaluateAnimated(light.wide, phase) * Math.PI) / 360);

export const sun: LightDefinition<Sun> = {
  kind: 'sun',
  label: 'Sun',
  describe: 'A light so far away that it comes from one direction everywhere.',
  form: SunForm,
  at: (light, phase, { rotation }) => {
    const from = directionOf(light, phase);
    return {
      colour: dimmed(light.colour, light.dimmer, phase),
      strength: Math.PI * evaluateAnimated(light.strength, phase),
      from: light.hangs === 'camera' ? unitOf(rotate(rotation, from)) : from,
      size: halfOf(light, phase),
    };
  },
  sees: ({ shadow }) => (shadow ? { as: 'parallel' } : null),
  pointOf: (light, phase, at) => onDisc(halfOf(light, phase), at),
  summary: (light, phase) =>
    `${strengthWords(light.strength, phase)} · ${directionWords(directionOf(light, phase))}${light.shadow ? ' · shadows' : ''}`,
};
