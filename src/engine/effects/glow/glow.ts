import type * as THREE from 'three';
import type { Glow } from '../../../core/look/effects/glow/glow';
import type { EffectProgram } from '../program';
import glsl from './glow.glsl?raw';
import { GlowPyramid } from './pyramid';

export const glow: EffectProgram<Glow> = {
  needs: ['neighbours'],
  glsl,
  make(gpu) {
    const uniforms = { effect_light: { value: null as THREE.Texture | null }, effect_has: { value: false } };
    const pyramid = new GlowPyramid(gpu);
    return {
      uniforms,
      prepare({ layers }, source) {
        const light = pyramid.gather(source, layers);
        uniforms.effect_light.value = light;
        uniforms.effect_has.value = light !== null;
      },
      dispose: () => pyramid.dispose(),
    };
  },
};
