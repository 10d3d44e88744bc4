import type { Sharpen } from '../../../core/look/effects/sharpen/sharpen';
import { evaluateAnimated } from '../../../core/time/animated';
import type { EffectProgram } from '../program';
import glsl from './sharpen.glsl?raw';

export const sharpen: EffectProgram<Sharpen> = {
  needs: ['neighbours'],
  glsl,
  make() {
    const uniforms = { effect_strength: { value: 0 }, effect_radius: { value: 1 } };
    return {
      uniforms,
      prepare({ strength, radius }, { width, height }, { phase }) {
        uniforms.effect_strength.value = evaluateAnimated(strength, phase);
        uniforms.effect_radius.value = radius * Math.min(width, height);
      },
      dispose: () => undefined,
    };
  },
};
