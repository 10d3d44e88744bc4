import * as THREE from 'three';
import type { Sharpen } from '../../../core/look/effects/sharpen/sharpen';
import { evaluateAnimated } from '../../../core/time/animated';
import type { EffectProgram } from '../program';
import glsl from './sharpen.glsl?raw';

export const sharpen: EffectProgram<Sharpen> = {
  needs: ['neighbours'],
  glsl,
  make() {
    const around = Array.from({ length: 8 }, () => new THREE.Vector2());
    const uniforms = { effect_strength: { value: 0 }, effect_around: { value: around } };
    return {
      uniforms,
      prepare({ strength, radius }, { width, height }, { phase }) {
        uniforms.effect_strength.value = evaluateAnimated(strength, phase);
        const px = radius * Math.min(width, height);
        around.forEach((at, i) =>
          at.set(Math.cos((i * Math.PI) / 4) * (px / width), Math.sin((i * Math.PI) / 4) * (px / height)),
        );
      },
      dispose: () => undefined,
    };
  },
};
