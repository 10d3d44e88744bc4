// Needs core/matter/pattern/pattern.glsl.
Pattern patternAt(vec3 p, vec3 px, vec3 py, vec3 n) {
  vec3 slope;
  float value = cellPattern(p, uPatternPeriod, uPatternSeed, uPatternLap, uPatternChoice.y, uPatternChoice.x, slope);
  float left = leftOf(max(length(px), length(py)));
  return Pattern(mix(0.5, value, left), slope * left, vec3(0.0), 0.0, 1.0);
}
