import type { Stepped } from '../../../core/look/effects/stepped/stepped';
import type { EffectProgram } from '../program';

/** Nothing is left to do: the frame was drawn at the moment of its step. */
export const stepped: EffectProgram<Stepped> = {
  needs: [],
  glsl: 'void effect_apply(inout vec3 c, inout float gain) {}',
  make: () => ({ uniforms: {}, prepare: () => undefined, dispose: () => undefined }),
};
