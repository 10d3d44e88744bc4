// Pairs of mirrors through the middle: a direction is folded into the first part. Needs held.glsl.
uniform float effect_parts;
uniform float effect_turn;   // turns
void effect_apply(inout vec3 c, inout float gain) {
  vec2 d = (vUv - 0.5) * uPicture;
  float part = 3.14159265 / effect_parts;
  float from = effect_turn * 6.28318531;
  float a = mod(atan(d.y, d.x) - from, 2.0 * part);
  a = from + min(a, 2.0 * part - a);
  c = texture(uSource, heldPlace(0.5 + length(d) * vec2(cos(a), sin(a)) / uPicture)).rgb;
}
