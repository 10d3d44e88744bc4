// A kind of effect that no one ships: its facts, and its program.
import { form, number, tag, type ValueOf } from '../../src/core/forms';
import { effectBase, type EffectDefinition } from '../../src/core/look/effects/definition';
import type { EffectProgram } from '../../src/engine/effects/program';

const InvertForm = form({
  ...effectBase,
  kind: tag('invert'),
  amount: number(1, { label: 'Amount', min: 0, max: 1, hint: '1: light is dark and dark is light.' }),
});
export type Invert = ValueOf<typeof InvertForm>;

export const invert: EffectDefinition<Invert> = {
  kind: 'invert',
  label: 'Invert',
  family: 'colour',
  describe: 'Light becomes dark.',
  form: InvertForm,
  space: 'display',
  summary: ({ amount }) => `${amount * 100} %`,
};

export const invertProgram: EffectProgram<Invert> = {
  needs: [],
  glsl: 'uniform float effect_amount;\nvoid effect_apply(inout vec3 c, inout float gain) { c = mix(c, 1.0 - c, effect_amount); }',
  make() {
    const uniforms = { effect_amount: { value: 1 } };
    return {
      uniforms,
      prepare: ({ amount }) => (uniforms.effect_amount.value = amount),
      dispose: () => undefined,
    };
  },
};
