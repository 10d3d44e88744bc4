// What stands over a line seen once more below it, upside down. Seventeen places along the way down. Needs held.glsl.
uniform float effect_line;     // shares of the height, from below
uniform float effect_stretch;
uniform float effect_blur;     // share of the way below the line
uniform float effect_fades;
void effect_apply(inout vec3 c, inout float gain) {
  float below = effect_line - vUv.y;
  // half a pixel of rim; a loop, because without a graphics card one that no pixel needs is left out
  float in_ = clamp(0.5 + below * uPicture.y, 0.0, 1.0);
  for (int i = 0; i < (in_ > 0.0 ? 1 : 0); i++) {
    vec3 sum = vec3(0.0);
    for (int k = -8; k <= 8; k++) {
      float at = max(below, 0.0) * (1.0 + effect_blur * float(k) / 8.0) / effect_stretch;
      sum += texture(uSource, heldPlace(vec2(vUv.x, effect_line + max(at, 0.0)))).rgb * (9.0 - abs(float(k)));
    }
    c += sum / 81.0 * exp(-max(below, 0.0) / effect_fades) * in_;
  }
}
