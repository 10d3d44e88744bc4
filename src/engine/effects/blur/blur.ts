import * as THREE from 'three';
import type { Blur } from '../../../core/look/effects/blur/blur';
import { evaluateAnimated, type Animated } from '../../../core/time/animated';
import { fullscreenMaterial } from '../../gl/quad';
import { Sized } from '../../gl/sized';
import { floatTarget } from '../../gl/target';
import heldSource from '../held.glsl?raw';
import type { EffectProgram } from '../program';
import glsl from './blur.glsl?raw';
import blurFragment from './blur.frag.glsl?raw';

const TAPS = 4;
const PASSES = 3;

export const blur: EffectProgram<Blur> = {
  needs: ['neighbours'],
  glsl,
  make({ renderer, quad }) {
    const shown = { effect_blurred: { value: null as THREE.Texture | null }, effect_blurs: { value: 0 } };
    const uniforms = {
      uSource: { value: null as THREE.Texture | null },
      uPicture: { value: new THREE.Vector2() },
      uStep: { value: new THREE.Vector2() },
      uAbout: { value: new THREE.Vector2() },
      uFactor: { value: 0 },
      uAngle: { value: 0 },
    };
    const material = fullscreenMaterial(heldSource + blurFragment, uniforms);
    const rooms = [0, 1].map(() => new Sized((width, height) => floatTarget(width, height)));
    return {
      uniforms: shown,
      prepare({ way, long, turn, aside, above }, source, { phase }) {
        const { width, height } = source;
        const at = (value: Animated): number => evaluateAnimated(value, phase);
        const places = TAPS ** PASSES;
        const side = Math.min(width, height);
        const by = at(long);
        shown.effect_blurs.value = by > 0 ? 1 : 0;
        if (by === 0) return;
        const angle = 2 * Math.PI * at(turn);
        uniforms.uPicture.value.set(width, height);
        uniforms.uAbout.value.set(0.5 + at(aside), 0.5 + at(above));
        let from = source;
        for (let pass = 0; pass < PASSES; pass++) {
          const far = TAPS ** pass / places;
          const step = way === 'line' ? by * side * far : 0;
          uniforms.uStep.value.set((Math.cos(angle) * step) / width, (Math.sin(angle) * step) / height);
          // half the side away from the place it is as long as is said
          uniforms.uFactor.value = way === 'zoom' ? 2 * by * far : 0;
          uniforms.uAngle.value = way === 'spin' ? 2 * by * far : 0;
          uniforms.uSource.value = from.texture;
          const to = rooms[pass % 2].at(source);
          quad.draw(renderer, material, to);
          from = to;
        }
        uniforms.uSource.value = null;
        shown.effect_blurred.value = from.texture;
      },
      dispose() {
        for (const room of rooms) room.dispose();
        material.dispose();
      },
    };
  },
};
