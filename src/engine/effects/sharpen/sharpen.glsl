// A picture less what it is when blurred, added once more (unsharp mask; common practice). Four places around it: along rows, columns
// and diagonals alike two of them are near and two far.
uniform float effect_strength;
uniform vec4 effect_around;  // the first of them and the next, in texture coordinates; the others are across
void effect_apply(inout vec3 c, inout float gain) {
  vec3 sum = texture(uSource, vUv + effect_around.xy).rgb + texture(uSource, vUv - effect_around.xy).rgb;
  sum += texture(uSource, vUv + effect_around.zw).rgb + texture(uSource, vUv - effect_around.zw).rgb;
  c = max(c + effect_strength * (c - 0.25 * sum), vec3(0.0));
}
