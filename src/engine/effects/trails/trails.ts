import type * as THREE from 'three';
import { trailLevel, type Trails } from '../../../core/look/effects/trails/trails';
import type { EffectProgram } from '../program';
import glsl from './trails.glsl?raw';

export const trails: EffectProgram<Trails> = {
  needs: [],
  glsl,
  make() {
    const uniforms = {
      effect_trail: { value: null as THREE.Texture | null },
      effect_brightest: { value: true },
      effect_together: { value: 1 },
    };
    return {
      uniforms,
      prepare(effect, _, { earlierOf }) {
        uniforms.effect_trail.value = earlierOf(effect);
        uniforms.effect_brightest.value = effect.joins === 'brightest';
        uniforms.effect_together.value = trailLevel(effect);
      },
      dispose: () => undefined,
    };
  },
};
