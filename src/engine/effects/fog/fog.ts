import * as THREE from 'three';
import { colourAt } from '../../../core/colour/animated';
import { fog as definition, type Fog } from '../../../core/look/effects/fog/fog';
import { evaluateAnimated } from '../../../core/time/animated';
import type { EffectProgram } from '../program';
import glsl from './fog.glsl?raw';

export const fog: EffectProgram<Fog> = {
  needs: [],
  glsl,
  make() {
    const uniforms = {
      effect_far: { value: null as THREE.Texture | null },
      effect_of: { value: 0 },
      effect_colour: { value: new THREE.Vector3() },
    };
    return {
      uniforms,
      prepare(effect, _, { phase, slotOf }) {
        const asked = definition.asks?.(effect, phase);
        const slot = asked ? slotOf(asked) : null;
        uniforms.effect_far.value = slot?.texture ?? null;
        uniforms.effect_of.value = slot?.number ?? 0;
        uniforms.effect_colour.value
          .set(...colourAt(effect.colour, phase))
          .multiplyScalar(evaluateAnimated(effect.strength, phase));
      },
      dispose: () => undefined,
    };
  },
};
