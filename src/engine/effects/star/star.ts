import type * as THREE from 'three';
import { colourAt } from '../../../core/colour/animated';
import type { Rgb } from '../../../core/colour/colour';
import type { Star } from '../../../core/look/effects/star/star';
import { evaluateAnimated } from '../../../core/time/animated';
import type { EffectProgram } from '../program';
import glsl from '../spread/added.glsl?raw';
import { Sweeps } from '../spread/sweeps';

export const star: EffectProgram<Star> = {
  needs: ['neighbours'],
  glsl,
  make(gpu) {
    const uniforms = { effect_light: { value: null as THREE.Texture | null } };
    const sweeps = new Sweeps(gpu);
    return {
      uniforms,
      prepare({ points, turn, length, threshold, gain, tint }, source, { phase }) {
        const at = evaluateAnimated(turn, phase);
        const strength = evaluateAnimated(gain, phase);
        const light = colourAt(tint, phase).map((v) => v * strength) as Rgb;
        const px = Math.max(0.25, evaluateAnimated(length, phase) * sweeps.sideFor(source));
        const ways = Array.from({ length: points }, (_, k) => 2 * Math.PI * (at + k / points));
        uniforms.effect_light.value = sweeps.gather(
          source,
          { threshold, light },
          ways.map((a) => ({ step: [Math.cos(a), Math.sin(a)], length: px, share: 1 / points })),
        );
      },
      dispose: () => sweeps.dispose(),
    };
  },
};
