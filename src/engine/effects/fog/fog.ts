import * as THREE from 'three';
import { colourAt } from '../../../core/colour/animated';
import { fogAsks, type Fog } from '../../../core/look/effects/fog/fog';
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
        const { target, number } = slotOf(fogAsks(effect, phase));
        uniforms.effect_far.value = target.texture;
        uniforms.effect_of.value = number;
        uniforms.effect_colour.value
          .set(...colourAt(effect.colour, phase))
          .multiplyScalar(evaluateAnimated(effect.strength, phase));
      },
      dispose: () => undefined,
    };
  },
};
