import * as THREE from 'three';
import type { Move } from '../../../core/look/effects/move/move';
import { evaluateAnimated, type Animated } from '../../../core/time/animated';
import { HELD, type EffectProgram } from '../program';
import glsl from './move.glsl?raw';

export const move: EffectProgram<Move> = {
  needs: ['neighbours'],
  sources: HELD,
  glsl,
  make() {
    const uniforms = {
      effect_by: { value: new THREE.Vector2() },
      effect_turn: { value: new THREE.Vector2(1, 0) },
      effect_size: { value: 1 },
      effect_moves: { value: 0 },
    };
    return {
      uniforms,
      prepare({ aside, above, turn, size }, _, { phase }) {
        const at = (value: Animated): number => evaluateAnimated(value, phase);
        const angle = 2 * Math.PI * at(turn);
        uniforms.effect_by.value.set(at(aside), at(above));
        uniforms.effect_turn.value.set(Math.cos(angle), Math.sin(angle));
        uniforms.effect_size.value = at(size);
        uniforms.effect_moves.value = [at(aside), at(above), angle, at(size) - 1].some((v) => v !== 0) ? 1 : 0;
      },
      dispose: () => undefined,
    };
  },
};
