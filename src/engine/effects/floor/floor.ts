import type { Floor } from '../../../core/look/effects/floor/floor';
import { evaluateAnimated, type Animated } from '../../../core/time/animated';
import { HELD, type EffectProgram } from '../program';
import glsl from './floor.glsl?raw';

export const floor: EffectProgram<Floor> = {
  needs: ['neighbours'],
  sources: HELD,
  glsl,
  make() {
    const uniforms = {
      effect_line: { value: 0 },
      effect_stretch: { value: 1 },
      effect_blur: { value: 0 },
      effect_fades: { value: 1 },
    };
    return {
      uniforms,
      prepare({ line, stretch, blur, fades }, _, { phase }) {
        const at = (value: Animated): number => evaluateAnimated(value, phase);
        uniforms.effect_line.value = at(line);
        uniforms.effect_stretch.value = stretch;
        uniforms.effect_blur.value = at(blur);
        uniforms.effect_fades.value = at(fades);
      },
      dispose: () => undefined,
    };
  },
};
