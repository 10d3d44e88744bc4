import type { Grain } from '../../../core/look/effects/grain/grain';
import { levelAt } from '../../../core/look/effects/reach';
import { sources } from '../../../core/random/hash.gen';
import type { EffectProgram } from '../program';
import glsl from './grain.glsl?raw';

export const grain: EffectProgram<Grain> = {
  needs: [],
  glsl,
  sources,
  make() {
    const uniforms = { effect_amount: { value: 0 }, effect_cell: { value: 1 } };
    return {
      uniforms,
      prepare(effect, { width, height }, frame) {
        uniforms.effect_amount.value = frame.texture ? levelAt(effect, frame) : 0;
        uniforms.effect_cell.value = effect.size * Math.min(width, height);
      },
      dispose: () => undefined,
    };
  },
};
