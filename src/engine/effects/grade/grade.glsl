// See core/colour/grade.glsl.
uniform vec3 effect_lift;
uniform vec3 effect_gamma;
uniform vec3 effect_gain;
uniform vec4 effect_tones;   // contrast, pivot, saturation, dull colours
void effect_apply(inout vec3 c, inout float gain) {
  vec3 result;
  graded(c, effect_lift, effect_gamma, effect_gain, effect_tones.x, effect_tones.y, effect_tones.z, effect_tones.w, result);
  c = result;
}
