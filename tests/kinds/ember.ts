// A kind of light that no one ships: as bright from everywhere. Its facts, and its program.
import { form, tag, type ValueOf } from '../../src/core/forms';
import { brightness, dimmed, lightBase, type LightDefinition } from '../../src/core/look/lights/definition';
import { evaluateAnimated } from '../../src/core/time/animated';
import type { LightProgram } from '../../src/engine/lights/program';

const EmberForm = form({ ...lightBase, kind: tag('ember'), ...brightness('#ff0000', 2) });
export type Ember = ValueOf<typeof EmberForm>;

export const ember: LightDefinition<Ember> = {
  kind: 'ember',
  label: 'Ember',
  describe: 'Red from everywhere.',
  form: EmberForm,
  around: true,
  at: ({ colour, dimmer, strength }, phase) => ({
    colour: dimmed(colour, dimmer, phase),
    strength: evaluateAnimated(strength, phase),
    from: [0, 1, 0],
  }),
  summary: ({ strength }, phase) => `${evaluateAnimated(strength, phase)} ×`,
};

export const emberProgram: LightProgram = {
  glsl: 'vec3 light_from(Light light, vec3 d, float rough) { return light.colour * light.strength; }',
};
