// Adds the light that was gathered around bright places, and what hardly spreads at all: see pyramid.ts.
uniform sampler2D effect_light;
uniform sampler2D effect_near;  // the picture at the size on which glow is measured
uniform bool effect_has;
uniform bool effect_hasNear;
void effect_apply(inout vec3 c, inout float gain) {
  vec3 near = effect_hasNear ? effect_bright(texture(effect_near, vUv).rgb) : vec3(0.0);
  if (effect_has) c += texture(effect_light, vUv).rgb;
  c += near;
}
