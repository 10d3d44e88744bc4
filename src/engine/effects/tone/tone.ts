import type { Tone } from '../../../core/look/effects/tone/tone';
import { evaluateAnimated } from '../../../core/time/animated';
import { constants } from '../../gl/quad';
import { TRANSFER, type EffectProgram } from '../program';
import glsl from './tone.glsl?raw';

const CURVES: Record<Tone['curve'], number> = { soft: 0, deep: 1, straight: 2 };

export const tone: EffectProgram<Tone> = {
  needs: [],
  sources: TRANSFER,
  glsl: constants('effect_curve', CURVES) + glsl,
  make() {
    const uniforms = { effect_exposure: { value: 1 }, effect_curve: { value: 0 }, effect_saturation: { value: 1 } };
    return {
      uniforms,
      prepare({ exposure, curve, saturation }, _, { phase }) {
        uniforms.effect_exposure.value = 2 ** evaluateAnimated(exposure, phase);
        uniforms.effect_curve.value = CURVES[curve];
        uniforms.effect_saturation.value = saturation;
      },
      dispose: () => undefined,
    };
  },
};
