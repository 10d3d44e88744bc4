import type { Grain } from '../../../core/look/effects/grain/grain';
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
      prepare({ amount, size }, { width, height }, { texture }) {
        uniforms.effect_amount.value = texture ? amount : 0;
        uniforms.effect_cell.value = size * Math.min(width, height);
      },
      dispose: () => undefined,
    };
  },
};
