import { form, number, tag, type ValueOf } from '../../../forms';
import { evaluateAnimated } from '../../../time/animated';
import { brightness, dimmed, lightBase, lightStretch, type LightDefinition } from '../definition';

const level = { min: 0, max: 10, comfort: 0.3, decimals: 3 };

const SurroundingsForm = form({
  ...lightBase,
  kind: tag('surroundings'),
  ...brightness('#ffffff', 1),
  below: number(0.012, { label: 'Beneath', ...level, hint: 'Brightness of what is beneath.' }),
  overhead: number(0.042, { label: 'Above', ...level, hint: 'Brightness of what is above.' }),
  ...lightStretch,
});
export type Surroundings = ValueOf<typeof SurroundingsForm>;

export const surroundings: LightDefinition<Surroundings> = {
  kind: 'surroundings',
  label: 'Surroundings',
  describe: 'A faint light from everywhere, brighter from above than from beneath, so that nothing is quite black.',
  form: SurroundingsForm,
  around: true,
  at: (light, phase) => ({
    colour: dimmed(light.colour, light.dimmer, phase),
    strength: evaluateAnimated(light.strength, phase),
    from: [0, 1, 0],
    own: [light.below, light.overhead - light.below],
  }),
  summary: ({ below, overhead }) => `${below.toFixed(3)} beneath, ${overhead.toFixed(3)} above`,
};
