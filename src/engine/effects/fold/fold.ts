import type { Fold } from '../../../core/look/effects/fold/fold';
import { evaluateAnimated } from '../../../core/time/animated';
import { HELD, type EffectProgram } from '../program';
import glsl from './fold.glsl?raw';

export const fold: EffectProgram<Fold> = {
  needs: ['neighbours'],
  sources: HELD,
  glsl,
  make() {
    const uniforms = { effect_parts: { value: 1 }, effect_turn: { value: 0 } };
    return {
      uniforms,
      prepare({ parts, turn }, _, { phase }) {
        uniforms.effect_parts.value = parts;
        uniforms.effect_turn.value = evaluateAnimated(turn, phase);
      },
      dispose: () => undefined,
    };
  },
};
