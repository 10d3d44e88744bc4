import * as THREE from 'three';
import { colourAt } from '../../../core/colour/animated';
import { fromLinear } from '../../../core/colour/colour';
import { sources } from '../../../core/colour/tint.gen';
import type { Tint } from '../../../core/look/effects/tint/tint';
import { evaluateAnimated } from '../../../core/time/animated';
import type { EffectProgram } from '../program';
import glsl from './tint.glsl?raw';

export const tint: EffectProgram<Tint> = {
  needs: [],
  sources,
  glsl,
  make() {
    const uniforms = {
      effect_shadows: { value: new THREE.Vector3() },
      effect_lights: { value: new THREE.Vector3() },
      effect_by: { value: new THREE.Vector2() },
      effect_middle: { value: 0.5 },
    };
    return {
      uniforms,
      prepare({ shadows, lights, shadowsBy, lightsBy, middle }, _, { phase }) {
        const [dark, bright] = [shadows, lights].map((colour) => colourAt(colour, phase).map(fromLinear));
        uniforms.effect_shadows.value.set(dark[0], dark[1], dark[2]);
        uniforms.effect_lights.value.set(bright[0], bright[1], bright[2]);
        uniforms.effect_by.value.set(evaluateAnimated(shadowsBy, phase), evaluateAnimated(lightsBy, phase));
        uniforms.effect_middle.value = middle;
      },
      dispose: () => undefined,
    };
  },
};
