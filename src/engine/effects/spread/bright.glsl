// What glows of a light: the part above each glow's threshold, by how much of that glow belongs here. Keeps hue; the knee is
// a share of the threshold wide, to either side of it. GLOW_ is replaced by what the names of its user begin with.
uniform int GLOW_count;
uniform vec2 GLOW_threshold[4];  // and that share
uniform vec3 GLOW_tint[4];      // of each glow, times its gain and the share of it that belongs to this level
vec3 GLOW_bright(vec3 c) {
  float v = max(max(c.r, c.g), c.b);
  vec3 sum = vec3(0.0);
  for (int i = 0; i < GLOW_count; i++) {
    float threshold = GLOW_threshold[i].x;
    float knee = threshold * GLOW_threshold[i].y + 1e-5;
    float soft = clamp(v - threshold + knee, 0.0, 2.0 * knee);
    sum += max(v - threshold, soft * soft / (4.0 * knee)) * GLOW_tint[i];
  }
  return c * sum / max(v, 1e-6);
}
