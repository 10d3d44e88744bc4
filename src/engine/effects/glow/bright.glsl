// What glows of a light: the part above each glow's threshold, by how much of that glow belongs here. Keeps hue; the knee is
// half the threshold wide. GLOW_ is replaced by what the names of its user begin with.
uniform vec4 GLOW_threshold;    // one per glow
uniform vec4 GLOW_weight;       // share of each glow that belongs to this level, times its gain
uniform vec3 GLOW_tint[4];
vec3 GLOW_above(vec3 c, float v, float threshold) {
  float knee = threshold * 0.5 + 1e-5;
  float soft = clamp(v - threshold + knee, 0.0, 2.0 * knee);
  float over = max(v - threshold, soft * soft / (4.0 * knee));
  return c * (over / max(v, 1e-6));
}
vec3 GLOW_bright(vec3 c) {
  float v = max(max(c.r, c.g), c.b);
  vec3 sum = vec3(0.0);
  if (GLOW_weight.x > 0.0) sum += GLOW_above(c, v, GLOW_threshold.x) * GLOW_tint[0] * GLOW_weight.x;
  if (GLOW_weight.y > 0.0) sum += GLOW_above(c, v, GLOW_threshold.y) * GLOW_tint[1] * GLOW_weight.y;
  if (GLOW_weight.z > 0.0) sum += GLOW_above(c, v, GLOW_threshold.z) * GLOW_tint[2] * GLOW_weight.z;
  if (GLOW_weight.w > 0.0) sum += GLOW_above(c, v, GLOW_threshold.w) * GLOW_tint[3] * GLOW_weight.w;
  return sum;
}
