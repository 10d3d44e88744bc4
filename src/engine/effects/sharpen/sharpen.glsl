// A picture less what it is when blurred, added once more (unsharp mask; common practice). Eight places around.
uniform float effect_strength;
uniform vec2 effect_around[8];  // where they are, in texture coordinates
void effect_apply(inout vec3 c, inout float gain) {
  vec3 sum = vec3(0.0);
  for (int i = 0; i < 8; i++) sum += texture(uSource, vUv + effect_around[i]).rgb;
  c = max(c + effect_strength * (c - 0.125 * sum), vec3(0.0));
}
