import * as THREE from 'three';
import { dustTurn, type Dust } from '../../../core/look/effects/dust/dust';
import { sources } from '../../../core/random/hash.gen';
import { evaluateAnimated } from '../../../core/time/animated';
import type { EffectProgram } from '../program';
import glsl from './dust.glsl?raw';

/** Cells of the grid along the shorter side: more than there can be specks of the largest size along it. */
const CELLS = 24;

export const dust: EffectProgram<Dust> = {
  needs: [],
  sources,
  glsl,
  make() {
    const uniforms = {
      effect_specks: { value: 0 },
      effect_cell: { value: new THREE.Vector2(1, 1) },
      effect_size: { value: 0 },
      effect_light: { value: 0 },
      effect_turn: { value: 0 },
      effect_chance: { value: 0 },
    };
    return {
      uniforms,
      prepare(effect, { width, height }, { phase, frame, frames, texture }) {
        const cell = Math.min(width, height) / CELLS;
        uniforms.effect_cell.value.set(cell / width, cell / height);
        const cells = (width * height) / (cell * cell);
        uniforms.effect_specks.value = texture ? evaluateAnimated(effect.specks, phase) / cells : 0;
        uniforms.effect_size.value = effect.size * CELLS;
        uniforms.effect_light.value = effect.light;
        uniforms.effect_turn.value = dustTurn(effect, frame, frames);
        uniforms.effect_chance.value = effect.seed;
      },
      dispose: () => undefined,
    };
  },
};
