import { form, tag, type ValueOf } from '../../../forms';
import {
  brightness,
  dimmed,
  direction,
  directionOf,
  directionWords,
  lightBase,
  type LightDefinition,
} from '../definition';

const SunForm = form({
  ...lightBase,
  kind: tag('sun'),
  ...brightness('#ffe9cf', 2.6),
  ...direction([0.78, 0.5, 0.376]),
});
export type Sun = ValueOf<typeof SunForm>;

export const sun: LightDefinition<Sun> = {
  kind: 'sun',
  label: 'Sun',
  describe: 'A light so far away that it comes from one direction everywhere.',
  form: SunForm,
  at: (light, phase) => ({
    colour: dimmed(light.colour, light.dimmer, phase),
    strength: light.strength,
    from: directionOf(light),
  }),
  summary: (light) => `${light.strength} × · ${directionWords(light)}`,
};
