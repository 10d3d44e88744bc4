// What is finer than a pixel fades to its mean. Needs core/matter/pattern/pattern.glsl.
Pattern patternAt(vec3 p, vec3 px, vec3 py, vec3 n) {
  float wide = max(length(px), length(py));
  vec3 slope;
  float value = flowPattern(p, uPatternPeriod, uPatternSeed, uPatternLap, uPatternChoice.y, uPatternChoice.x, slope);
  float left = leftOf(wide * exp2(float(uPatternChoice.x - 1) * 0.5));
  return Pattern(mix(0.5, value, left), slope * left, vec3(0.0), 0.0, 1.0);
}
