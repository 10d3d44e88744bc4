import * as THREE from 'three';
import { colourAt } from '../../../core/colour/animated';
import type { Corner } from '../../../core/look/effects/corner/corner';
import { evaluateAnimated } from '../../../core/time/animated';
import type { EffectProgram } from '../program';
import glsl from './corner.glsl?raw';

/** Ends of the picture's width and height, as the program takes them. */
const ENDS: Record<Corner['side'], readonly [number, number]> = {
  corners: [2, 2],
  left: [-1, 0],
  right: [1, 0],
  above: [0, 1],
  below: [0, -1],
  topLeft: [-1, 1],
  topRight: [1, 1],
  bottomLeft: [-1, -1],
  bottomRight: [1, -1],
};

export const corner: EffectProgram<Corner> = {
  needs: [],
  glsl,
  make() {
    const uniforms = {
      effect_light: { value: new THREE.Vector3() },
      effect_side: { value: new THREE.Vector2() },
      effect_reach: { value: 1 },
    };
    return {
      uniforms,
      prepare({ colour, strength, side, reach }, _, { phase }) {
        uniforms.effect_light.value.set(...colourAt(colour, phase)).multiplyScalar(evaluateAnimated(strength, phase));
        uniforms.effect_side.value.set(...ENDS[side]);
        uniforms.effect_reach.value = evaluateAnimated(reach, phase);
      },
      dispose: () => undefined,
    };
  },
};
