import type { Fringe } from '../../../core/look/effects/fringe/fringe';
import { evaluateAnimated } from '../../../core/time/animated';
import type { EffectProgram } from '../program';
import glsl from './fringe.glsl?raw';

export const fringe: EffectProgram<Fringe> = {
  needs: ['neighbours'],
  glsl,
  make() {
    const uniforms = { effect_apart: { value: 0 } };
    return {
      uniforms,
      prepare: ({ apart }, _, { phase }) => (uniforms.effect_apart.value = evaluateAnimated(apart, phase)),
      dispose: () => undefined,
    };
  },
};
