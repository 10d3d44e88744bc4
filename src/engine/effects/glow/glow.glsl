// Adds the light that was gathered around bright places, and what hardly spreads at all: see pyramid.ts. Loops that run once or
// not at all: without a graphics card both sides of a condition are worked out for every pixel, but not a loop that no pixel needs.
uniform sampler2D effect_light;
uniform sampler2D effect_near;  // the picture at the size on which glow is measured, where that is another
uniform int effect_resized;     // 0 or 1
uniform int effect_spreads;     // 0 or 1
void effect_apply(inout vec3 c, inout float gain) {
  vec3 sum = vec3(0.0);
  vec3 near = c;
  for (int i = 0; i < effect_resized; i++) near = texture(effect_near, vUv).rgb;
  for (int i = 0; i < min(effect_count, 1); i++) sum += effect_bright(near);
  for (int i = 0; i < effect_spreads; i++) sum += texture(effect_light, vUv).rgb;
  c += sum;
}
