// Adds the light that was gathered around bright places, and what hardly spreads at all where the picture is no larger than that on which glow
// is measured: see pyramid.ts. Loops that run once or not at all: without a graphics card both sides of a condition are worked out
// for every pixel, but not a loop that no pixel needs.
uniform sampler2D effect_light;
uniform int effect_spreads;     // 0 or 1
void effect_apply(inout vec3 c, inout float gain) {
  vec3 sum = vec3(0.0);
  for (int i = 0; i < min(effect_count, 1); i++) sum += effect_bright(c);
  for (int i = 0; i < effect_spreads; i++) sum += texture(effect_light, vUv).rgb;
  c += sum;
}
