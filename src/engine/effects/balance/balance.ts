import * as THREE from 'three';
import { balanceAt, type Balance } from '../../../core/look/effects/balance/balance';
import type { EffectProgram } from '../program';
import glsl from './balance.glsl?raw';

export const balance: EffectProgram<Balance> = {
  needs: [],
  glsl,
  make() {
    const uniforms = { effect_matrix: { value: new THREE.Matrix3() } };
    return {
      uniforms,
      prepare(effect, _, { phase }) {
        uniforms.effect_matrix.value.set(...balanceAt(effect, phase));
      },
      dispose: () => undefined,
    };
  },
};
