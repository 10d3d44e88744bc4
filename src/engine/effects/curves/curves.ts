import * as THREE from 'three';
import { sources } from '../../../core/colour/lookup.gen';
import { profileHalves } from '../../../core/forms';
import { CHANNELS, type Curves } from '../../../core/look/effects/curves/curves';
import type { EffectProgram } from '../program';
import glsl from './curves.glsl?raw';

export const curves: EffectProgram<Curves> = {
  needs: [],
  sources,
  glsl,
  make() {
    const uniforms = { effect_knots: { value: Array.from({ length: 8 }, () => new THREE.Vector4()) } };
    return {
      uniforms,
      prepare(effect) {
        for (const [i, channel] of (['all', ...CHANNELS] as const).entries())
          profileHalves(effect[channel]).forEach((half, k) => uniforms.effect_knots.value[2 * i + k].set(...half));
      },
      dispose: () => undefined,
    };
  },
};
