// Needs colour/tint.glsl.
uniform vec3 effect_shadows;
uniform vec3 effect_lights;
uniform vec2 effect_by;
uniform float effect_middle;

void effect_apply(inout vec3 c, inout float gain) {
  vec3 result;
  tinted(c, effect_shadows, effect_lights, effect_by, effect_middle, result);
  c = result;
}
