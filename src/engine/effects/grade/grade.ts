import * as THREE from 'three';
import { sources } from '../../../core/colour/grade.gen';
import { gradeAt, type Grade } from '../../../core/look/effects/grade/grade';
import { evaluateAnimated } from '../../../core/time/animated';
import type { EffectProgram } from '../program';
import glsl from './grade.glsl?raw';

export const grade: EffectProgram<Grade> = {
  needs: [],
  glsl,
  sources,
  make() {
    const uniforms = {
      effect_lift: { value: new THREE.Vector3() },
      effect_gamma: { value: new THREE.Vector3(1, 1, 1) },
      effect_gain: { value: new THREE.Vector3(1, 1, 1) },
      effect_tones: { value: new THREE.Vector4(1, 0.5, 1, 0) },
    };
    return {
      uniforms,
      prepare(effect, _, { phase }) {
        const { lift, gamma, gain } = gradeAt(effect, phase);
        uniforms.effect_lift.value.set(...lift);
        uniforms.effect_gamma.value.set(...gamma);
        uniforms.effect_gain.value.set(...gain);
        const { contrast, pivot, saturation, dull } = effect;
        const [steep, about, pure, more] = [contrast, pivot, saturation, dull].map((v) => evaluateAnimated(v, phase));
        uniforms.effect_tones.value.set(steep, about, pure, more);
      },
      dispose: () => undefined,
    };
  },
};
