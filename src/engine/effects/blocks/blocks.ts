import * as THREE from 'three';
import type { Blocks } from '../../../core/look/effects/blocks/blocks';
import { burstAt } from '../../../core/look/effects/fields';
import { sources } from '../../../core/random/hash.gen';
import { evaluateAnimated } from '../../../core/time/animated';
import { HELD, type EffectProgram } from '../program';
import glsl from './blocks.glsl?raw';

export const blocks: EffectProgram<Blocks> = {
  needs: ['neighbours'],
  sources: { ...sources, ...HELD },
  glsl,
  make() {
    const uniforms = {
      effect_state: { value: 0 },
      effect_chance: { value: 0 },
      effect_side: { value: new THREE.Vector2(1, 1) },
      effect_shift: { value: new THREE.Vector2() },
      effect_share: { value: 0 },
      effect_coarse: { value: 0 },
      effect_dots: { value: 1 },
    };
    return {
      uniforms,
      prepare(effect, { width, height }, frame) {
        const side = Math.min(width, height);
        const shift = evaluateAnimated(effect.shift, frame.phase) * side;
        uniforms.effect_state.value = burstAt(effect, frame);
        uniforms.effect_chance.value = effect.seed;
        uniforms.effect_side.value.set((effect.block * side) / width, (effect.block * side) / height);
        uniforms.effect_shift.value.set(shift / width, shift / height);
        uniforms.effect_share.value = effect.share;
        uniforms.effect_coarse.value = effect.coarse;
        uniforms.effect_dots.value = effect.dots;
      },
      dispose: () => undefined,
    };
  },
};
