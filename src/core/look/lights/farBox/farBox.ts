import { choice, form, number, tag, type ValueOf } from '../../../forms';
import type { Vec3 } from '../../../space/vector';
import { evaluateAnimated } from '../../../time/animated';
import {
  brightness,
  dimmed,
  direction,
  directionOf,
  directionWords,
  lightBase,
  lightStretch,
  strengthWords,
  unitOf,
  type LightDefinition,
} from '../definition';

/** Whites of lamps, linear. Ours: a neutral one and one a little warmer, as studio light is. */
const LAMPS: Readonly<Record<'neutral' | 'warm', Vec3>> = { neutral: [1, 1, 1], warm: [1, 0.97, 0.92] };

const side = { unit: '× distance', min: 0.01, max: 20, comfort: 3, decimals: 2 };

const FarBoxForm = form({
  ...lightBase,
  kind: tag('farBox'),
  lamp: choice(
    'neutral',
    { neutral: 'Neutral', warm: 'Warm white' },
    { label: 'Lamp', hint: 'White of the lamp in it.' },
  ),
  ...brightness('#ffffff', 1),
  ...direction([0, 1, 0]),
  wide: number(1, { label: 'Width', ...side, hint: 'Width as a multiple of its distance.' }),
  high: number(1, { label: 'Height', ...side, hint: 'Height as a multiple of its distance.' }),
  ...lightStretch,
});
export type FarBox = ValueOf<typeof FarBoxForm>;

/** Unit vector along a box's width: level, and square to its direction; to the right for one straight above or beneath. */
function widthOf([x, , z]: Vec3): Vec3 {
  const length = Math.hypot(x, z);
  return length < 1e-6 ? [1, 0, 0] : unitOf([z, 0, -x]);
}

export const farBox: LightDefinition<FarBox> = {
  kind: 'farBox',
  label: 'Far box',
  describe:
    'A bright rectangle so far away that it is seen alike from everywhere: polished things reflect it, rough ones feel it as soft light.',
  form: FarBoxForm,
  around: true,
  at(light, phase) {
    const [red, green, blue] = dimmed(light.colour, light.dimmer, phase);
    const lamp = LAMPS[light.lamp];
    const from = directionOf(light, phase);
    return {
      colour: [red * lamp[0], green * lamp[1], blue * lamp[2]],
      strength: evaluateAnimated(light.strength, phase),
      from,
      own: [...widthOf(from), 0, light.wide / 2, light.high / 2],
    };
  },
  summary: (light, phase) =>
    `${light.wide} × ${light.high} · ${strengthWords(light.strength, phase)} · ${directionWords(directionOf(light, phase))}`,
};
