import type { Vignette } from '../../../core/look/effects/vignette/vignette';
import { levelAt } from '../../../core/look/effects/reach';
import type { EffectProgram } from '../program';
import glsl from './vignette.glsl?raw';

export const vignette: EffectProgram<Vignette> = {
  needs: [],
  glsl,
  make() {
    const uniforms = { effect_amount: { value: 0 } };
    return {
      uniforms,
      prepare: (effect, _, frame) => (uniforms.effect_amount.value = levelAt(effect, frame)),
      dispose: () => undefined,
    };
  },
};
