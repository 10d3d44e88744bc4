import * as THREE from 'three';
import type { Blur } from '../../../core/look/effects/blur/blur';
import { evaluateAnimated, type Animated } from '../../../core/time/animated';
import { fullscreenMaterial } from '../../gl/quad';
import { Sized } from '../../gl/sized';
import { floatTarget } from '../../gl/target';
import { joinSources } from '../../../core/kernel/kernel';
import { sources } from '../../../core/look/effects/blur/patches.gen';
import heldSource from '../held.glsl?raw';
import type { EffectProgram } from '../program';
import glsl from './blur.glsl?raw';
import blurFragment from './blur.frag.glsl?raw';

/** Lines along which a picture is drawn out one after another that is blurred all round, and how long each is: then it is as wide along any. */
const ROUND = [0, 1 / 6, 1 / 3] as const;
const ROUND_LENGTH = Math.sqrt(2 / 3);

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
      uUneven: { value: 0 },
      uPatch: { value: 1 },
      uLap: { value: 0 },
      uCycles: { value: 1 },
      uSeed: { value: 0 },
    };
    const material = fullscreenMaterial(joinSources(sources) + heldSource + blurFragment, uniforms);
    const rooms = [0, 1].map(() => new Sized((width, height) => floatTarget(width, height)));
    return {
      uniforms: shown,
      prepare({ way, long, turn, aside, above, uneven, patches, cycles, seed }, source, { phase }) {
        const { width, height } = source;
        const at = (value: Animated): number => evaluateAnimated(value, phase);
        const places = TAPS ** PASSES;
        const side = Math.min(width, height);
        const by = at(long);
        shown.effect_blurs.value = by > 0 ? 1 : 0;
        if (by === 0) return;
        uniforms.uPicture.value.set(width, height);
        uniforms.uAbout.value.set(0.5 + at(aside), 0.5 + at(above));
        uniforms.uUneven.value = at(uneven);
        uniforms.uPatch.value = patches;
        uniforms.uLap.value = phase - Math.floor(phase);
        uniforms.uCycles.value = cycles;
        uniforms.uSeed.value = seed;
        const lines = way === 'round' ? ROUND : [way === 'line' ? at(turn) : 0];
        const length = way === 'round' ? by * ROUND_LENGTH : way === 'line' ? by : 0;
        let from = source;
        for (let pass = 0; pass < PASSES * lines.length; pass++) {
          const far = TAPS ** (pass % PASSES) / places;
          const angle = 2 * Math.PI * lines[Math.floor(pass / PASSES)];
          const step = length * side * far;
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
