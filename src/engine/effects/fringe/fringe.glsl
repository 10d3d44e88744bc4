// Red, green and blue from places that part towards the corners, as the cube of the distance from the middle (lateral colour of the
// third order; any optics text). Seven places, each seen in the colours between, so that an edge is a spectrum and not three copies.
uniform float effect_apart;   // share of the shorter side, in a corner
void effect_apply(inout vec3 c, inout float gain) {
  vec2 d = (vUv - 0.5) * uPicture;
  float corner = 0.5 * length(uPicture);
  float r = length(d) / corner;
  // from the middle of all, to the outermost
  vec2 way = d / max(length(d), 1e-6) * (0.5 * effect_apart * min(uPicture.x, uPicture.y) * r * r * r) / uPicture;
  vec3 sum = vec3(0.0);
  for (int i = -3; i <= 3; i++) {
    float t = float(i) / 3.0;
    // of each colour the seven shares make one
    vec3 share = vec3(max(0.0, -t) * 0.5, (1.0 - abs(t)) / 3.0, max(0.0, t) * 0.5);
    sum += texture(uSource, vUv + way * t).rgb * share;
  }
  c = sum * gain;
  gain = 1.0;
}
