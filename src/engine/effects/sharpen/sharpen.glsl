// A picture less what it is when blurred, added once more (unsharp mask; common practice). Eight places around.
uniform float effect_strength;
uniform float effect_radius;   // pixels
void effect_apply(inout vec3 c, inout float gain) {
  vec3 sum = vec3(0.0);
  for (int i = 0; i < 8; i++) {
    float turn = float(i) * 0.78539816;
    sum += texture(uSource, vUv + vec2(cos(turn), sin(turn)) * (effect_radius / uPicture)).rgb;
  }
  c = max(c + effect_strength * (c - 0.125 * sum), vec3(0.0));
}
