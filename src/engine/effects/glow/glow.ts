import type * as THREE from 'three';
import type { Glow } from '../../../core/look/effects/glow/glow';
import type { EffectProgram } from '../program';
import glsl from './glow.glsl?raw';
import { brightGlsl, brightUniforms, GlowPyramid } from './pyramid';

export const glow: EffectProgram<Glow> = {
  needs: ['neighbours'],
  glsl: brightGlsl('effect_') + glsl,
  make(gpu) {
    const shown = {
      effect_light: { value: null as THREE.Texture | null },
      effect_near: { value: null as THREE.Texture | null },
      effect_spreads: { value: 0 },
      effect_resized: { value: 0 },
    };
    const bright = brightUniforms('effect_');
    const pyramid = new GlowPyramid(gpu);
    return {
      uniforms: { ...shown, ...bright },
      prepare({ layers }, source, { phase }) {
        const { light, near } = pyramid.gather(source, layers, bright, phase);
        shown.effect_light.value = light;
        shown.effect_spreads.value = light ? 1 : 0;
        shown.effect_near.value = near;
        shown.effect_resized.value = near ? 1 : 0;
      },
      dispose: () => pyramid.dispose(),
    };
  },
};
