import type * as THREE from 'three';
import type { GlowLayer } from '../../../core/look/effects/glow/glow';
import type { EffectProgram } from '../program';
import glsl from './glow.glsl?raw';
import { brightGlsl, brightUniforms, GlowPyramid } from './pyramid';

/** An effect that adds glows. @param layers of it at a phase */
export const pyramidal = <E>(layers: (effect: E, phase: number) => readonly GlowLayer[]): EffectProgram<E> => ({
  needs: ['neighbours'],
  glsl: brightGlsl('effect_') + glsl,
  make(gpu) {
    const shown = {
      effect_light: { value: null as THREE.Texture | null },
      effect_spreads: { value: 0 },
    };
    const bright = brightUniforms('effect_');
    const pyramid = new GlowPyramid(gpu);
    return {
      uniforms: { ...shown, ...bright },
      prepare(effect, source, { phase }) {
        const light = pyramid.gather(source, layers(effect, phase), bright, phase);
        shown.effect_light.value = light;
        shown.effect_spreads.value = light ? 1 : 0;
      },
      dispose: () => pyramid.dispose(),
    };
  },
});
