import * as THREE from 'three';
import { colourAt } from '../../../core/colour/animated';
import { flashAt, type Flash } from '../../../core/look/effects/flash/flash';
import { evaluateAnimated } from '../../../core/time/animated';
import type { EffectProgram } from '../program';
import glsl from './flash.glsl?raw';

export const flash: EffectProgram<Flash> = {
  needs: [],
  glsl,
  make() {
    const uniforms = { effect_brighter: { value: 1 }, effect_veil: { value: new THREE.Vector3() } };
    return {
      uniforms,
      prepare(effect, _, { phase }) {
        const level = flashAt(effect, phase);
        uniforms.effect_brighter.value = 2 ** (level * evaluateAnimated(effect.lights, phase));
        uniforms.effect_veil.value
          .set(...colourAt(effect.colour, phase))
          .multiplyScalar(level * evaluateAnimated(effect.veil, phase));
      },
      dispose: () => undefined,
    };
  },
};
