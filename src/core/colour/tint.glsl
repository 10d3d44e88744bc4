// Dark and bright tones towards a colour each. Common practice, no published source.
// @export tinted

// c, shadows, lights: code values 0 to 1; by: how far shadows and lights go, 0 to 1; middle: brightness that is half of either. Brightness,
// by the weights of ITU-R BT.709, stays.
void tinted(vec3 c, vec3 shadows, vec3 lights, vec2 by, float middle, out vec3 result) {
  vec3 weights = vec3(0.2126, 0.7152, 0.0722);
  float y = dot(c, weights);
  float t = y < middle ? 0.5 * y / middle : 0.5 + 0.5 * (y - middle) / (1.0 - middle);
  float bright = smoothstep(0.0, 1.0, t);
  vec3 dark = shadows * (y / max(dot(shadows, weights), 1e-3));
  vec3 light = lights * (y / max(dot(lights, weights), 1e-3));
  result = c + (dark - c) * (by.x * (1.0 - bright)) + (light - c) * (by.y * bright);
}
