import * as THREE from 'three';
import { gradientOf, type AnimatedGradient } from '../../../core/colour/animated';
import { fromLinear, gradientAt } from '../../../core/colour/colour';
import type { GradientMap } from '../../../core/look/effects/gradientMap/gradientMap';
import { isMoving } from '../../../core/time/mixed';
import type { EffectProgram } from '../program';
import glsl from './gradientMap.glsl?raw';

/** Brightnesses whose colours are kept, from black to white. */
const STEPS = 256;

export const gradientMap: EffectProgram<GradientMap> = {
  needs: [],
  glsl,
  make() {
    const codes = new Float32Array(4 * STEPS);
    const texture = new THREE.DataTexture(codes, STEPS, 1, THREE.RGBAFormat, THREE.FloatType);
    texture.magFilter = texture.minFilter = THREE.LinearFilter;
    let shown: AnimatedGradient | null = null;
    return {
      uniforms: { effect_colours: { value: texture } },
      prepare({ colours }, _, { phase }) {
        if (shown === colours && !isMoving(colours)) return;
        shown = colours;
        const gradient = gradientOf(colours, phase);
        for (let i = 0; i < STEPS; i++) codes.set(gradientAt(gradient, i / (STEPS - 1)).map(fromLinear), 4 * i);
        texture.needsUpdate = true;
      },
      dispose: () => texture.dispose(),
    };
  },
};
