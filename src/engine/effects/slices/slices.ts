import { burstAt } from '../../../core/look/effects/fields';
import type { Slices } from '../../../core/look/effects/slices/slices';
import { sources } from '../../../core/random/hash.gen';
import { evaluateAnimated } from '../../../core/time/animated';
import { HELD, type EffectProgram } from '../program';
import glsl from './slices.glsl?raw';

export const slices: EffectProgram<Slices> = {
  needs: ['neighbours'],
  sources: { ...sources, ...HELD },
  glsl,
  make() {
    const uniforms = {
      effect_state: { value: 0 },
      effect_bands: { value: 1 },
      effect_chance: { value: 0 },
      effect_shift: { value: 0 },
      effect_split: { value: 0 },
    };
    return {
      uniforms,
      prepare(effect, _, frame) {
        uniforms.effect_state.value = burstAt(effect, frame);
        uniforms.effect_bands.value = effect.bands;
        uniforms.effect_chance.value = effect.seed;
        uniforms.effect_shift.value = evaluateAnimated(effect.shift, frame.phase);
        uniforms.effect_split.value = evaluateAnimated(effect.split, frame.phase);
      },
      dispose: () => undefined,
    };
  },
};
