import { litShare, type Grid } from '../../../core/look/effects/grid/grid';
import { evaluateAnimated } from '../../../core/time/animated';
import { TRANSFER, type EffectProgram } from '../program';
import glsl from './grid.glsl?raw';

export const grid: EffectProgram<Grid> = {
  needs: ['neighbours'],
  sources: TRANSFER,
  glsl,
  make() {
    const uniforms = {
      effect_cell: { value: 8 },
      effect_round: { value: true },
      effect_half: { value: 0.5 },
      effect_brighter: { value: 1 },
    };
    return {
      uniforms,
      prepare(effect, { width, height }, { phase }) {
        uniforms.effect_cell.value = Math.max(1, evaluateAnimated(effect.cell, phase) * Math.min(width, height));
        uniforms.effect_round.value = effect.shape === 'round';
        uniforms.effect_half.value = (1 - effect.gap) / 2;
        uniforms.effect_brighter.value = 1 / litShare(effect);
      },
      dispose: () => undefined,
    };
  },
};
