import type { Dither } from '../../../core/look/effects/dither/dither';
import { sources } from '../../../core/random/hash.gen';
import type { EffectProgram } from '../program';
import glsl from './dither.glsl?raw';

export const dither: EffectProgram<Dither> = {
  needs: [],
  glsl,
  sources,
  make() {
    const uniforms = { effect_steps: { value: 0 } };
    return {
      uniforms,
      prepare: ({ steps }, _, { texture, step }) => (uniforms.effect_steps.value = texture ? steps * step : 0),
      dispose: () => undefined,
    };
  },
};
