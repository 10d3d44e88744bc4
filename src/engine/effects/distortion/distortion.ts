import type { Distortion } from '../../../core/look/effects/distortion/distortion';
import { evaluateAnimated } from '../../../core/time/animated';
import { HELD, type EffectProgram } from '../program';
import glsl from './distortion.glsl?raw';

export const distortion: EffectProgram<Distortion> = {
  needs: ['neighbours'],
  sources: HELD,
  glsl,
  make() {
    const uniforms = { effect_barrel: { value: 0 } };
    return {
      uniforms,
      prepare: ({ barrel }, _, { phase }) => (uniforms.effect_barrel.value = evaluateAnimated(barrel, phase)),
      dispose: () => undefined,
    };
  },
};
