import type { Vignette } from '../../../core/look/effects/vignette/vignette';
import type { EffectProgram } from '../program';
import glsl from './vignette.glsl?raw';

export const vignette: EffectProgram<Vignette> = {
  needs: [],
  glsl,
  make() {
    const uniforms = { effect_amount: { value: 0 } };
    return {
      uniforms,
      prepare: ({ amount }) => (uniforms.effect_amount.value = amount),
      dispose: () => undefined,
    };
  },
};
