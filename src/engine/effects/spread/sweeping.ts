import type * as THREE from 'three';
import { colourAt, type AnimatedColour } from '../../../core/colour/animated';
import type { Rgb } from '../../../core/colour/colour';
import { evaluateAnimated, type Animated } from '../../../core/time/animated';
import type { EffectProgram, FrameInfo } from '../program';
import glsl from './added.glsl?raw';
import { Sweeps, type Sweep } from './sweeps';

/** What says which light is swept. */
interface Takes {
  threshold: number;
  soft: number;
  gain: Animated;
  tint: AnimatedColour;
}

/**
 * An effect that adds light swept along lines.
 * @param along the lines, on a reference of so many pixels a side; and by how much its light is dimmed besides
 */
export const sweeping = <E extends Takes>(
  along: (effect: E, frame: FrameInfo, side: number) => { sweeps: readonly Sweep[]; dims?: number },
): EffectProgram<E> => ({
  needs: ['neighbours'],
  glsl,
  make(gpu) {
    const uniforms = { effect_light: { value: null as THREE.Texture | null } };
    const sweeper = new Sweeps(gpu);
    return {
      uniforms,
      prepare(effect, source, frame) {
        const { sweeps, dims = 1 } = along(effect, frame, sweeper.sideFor(source));
        const strength = evaluateAnimated(effect.gain, frame.phase) * dims;
        const light = colourAt(effect.tint, frame.phase).map((v) => v * strength) as Rgb;
        uniforms.effect_light.value = sweeper.gather(
          source,
          { threshold: effect.threshold, soft: effect.soft, light },
          sweeps,
        );
      },
      dispose: () => sweeper.dispose(),
    };
  },
});
