// What glows of a light: the part above each glow's threshold, by how much of that glow belongs here. Keeps hue; the knee is
// half the threshold wide. GLOW_ is replaced by what the names of its user begin with.
uniform int GLOW_count;
uniform float GLOW_threshold[4];
uniform vec3 GLOW_tint[4];      // of each glow, times its gain and the share of it that belongs to this level
vec3 GLOW_bright(vec3 c) {
  float v = max(max(c.r, c.g), c.b);
  vec3 sum = vec3(0.0);
  for (int i = 0; i < GLOW_count; i++) {
    float threshold = GLOW_threshold[i];
    float knee = threshold * 0.5 + 1e-5;
    float soft = clamp(v - threshold + knee, 0.0, 2.0 * knee);
    sum += max(v - threshold, soft * soft / (4.0 * knee)) * GLOW_tint[i];
  }
  return c * sum / max(v, 1e-6);
}
