import * as THREE from 'three';
import type { Sharpen } from '../../../core/look/effects/sharpen/sharpen';
import { evaluateAnimated } from '../../../core/time/animated';
import type { EffectProgram } from '../program';
import glsl from './sharpen.glsl?raw';

export const sharpen: EffectProgram<Sharpen> = {
  needs: ['neighbours'],
  glsl,
  make() {
    const uniforms = { effect_strength: { value: 0 }, effect_around: { value: new THREE.Vector4() } };
    return {
      uniforms,
      prepare({ strength, radius }, { width, height }, { phase }) {
        uniforms.effect_strength.value = evaluateAnimated(strength, phase);
        const px = radius * Math.min(width, height);
        // turned by a quarter of a right angle
        const [along, across] = [px * Math.cos(Math.PI / 8), px * Math.sin(Math.PI / 8)];
        uniforms.effect_around.value.set(along / width, across / height, -across / width, along / height);
      },
      dispose: () => undefined,
    };
  },
};
