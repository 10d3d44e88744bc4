import type * as THREE from 'three';
import { colourAt } from '../../../core/colour/animated';
import type { Rgb } from '../../../core/colour/colour';
import type { Rays } from '../../../core/look/effects/rays/rays';
import { evaluateAnimated } from '../../../core/time/animated';
import type { EffectProgram } from '../program';
import glsl from '../spread/added.glsl?raw';
import { Sweeps } from '../spread/sweeps';

/** Samples along a ray: enough that they lie closer than pixels where rays are long. */
const SAMPLES = 42;

export const rays: EffectProgram<Rays> = {
  needs: ['neighbours'],
  glsl,
  make(gpu) {
    const uniforms = { effect_light: { value: null as THREE.Texture | null } };
    const sweeps = new Sweeps(gpu);
    return {
      uniforms,
      prepare({ origin, aside, above, way, length, threshold, gain, tint }, source, { phase, sunAt }) {
        const at = (value: Parameters<typeof evaluateAnimated>[0]): number => evaluateAnimated(value, phase);
        const sun = origin === 'sun' ? sunAt() : null;
        const strength = at(gain) * (origin === 'sun' ? (sun?.ahead ?? 0) : 1);
        const about = sun?.at ?? ([0.5 + at(aside), 0.5 + at(above)] as const);
        // at its length a ray is so many times as far from there
        const factor = (Math.log(1 + at(length)) / SAMPLES) * (way === 'out' ? -1 : 1);
        uniforms.effect_light.value = sweeps.gather(
          source,
          { threshold, light: colourAt(tint, phase).map((v) => v * strength) as Rgb },
          [{ step: [0, 0], about, factor, length: SAMPLES, share: 1 }],
        );
      },
      dispose: () => sweeps.dispose(),
    };
  },
};
