import type { GradientMap } from '../../../core/look/effects/gradientMap/gradientMap';
import { fillGradient, gradientTexture } from '../../layer/gradient';
import { TRANSFER, type EffectProgram } from '../program';
import glsl from './gradientMap.glsl?raw';

export const gradientMap: EffectProgram<GradientMap> = {
  needs: [],
  sources: TRANSFER,
  glsl,
  make() {
    const texture = gradientTexture();
    return {
      uniforms: { effect_colours: { value: texture } },
      prepare: ({ colours }, _, { phase }) => fillGradient(texture, colours, phase),
      dispose: () => texture.dispose(),
    };
  },
};
