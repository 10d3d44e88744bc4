// Adds the light that was gathered around bright places: see pyramid.ts.
uniform sampler2D effect_light;
uniform bool effect_has;
void effect_apply(inout vec3 c, inout float gain) {
  if (effect_has) c += texture(effect_light, vUv).rgb;
}
