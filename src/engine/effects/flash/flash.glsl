// Everything brighter by a factor, and light over everything.
uniform float effect_brighter;
uniform vec3 effect_veil;
void effect_apply(inout vec3 c, inout float gain) {
  c = c * (gain * effect_brighter) + effect_veil;
  gain = 1.0;
}
