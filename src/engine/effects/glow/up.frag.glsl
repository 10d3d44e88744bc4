// Doubles the glow gathered so far by a 9-tap tent and adds the glows whose radius belongs to this level.
uniform sampler2D uCoarse;
uniform sampler2D uLevel;
uniform vec2 uTexel;        // of the coarse picture
uniform bool uHasCoarse;
uniform vec4 uThreshold;    // one per glow
uniform vec4 uWeight;       // share of each glow that belongs to this level, times its gain
uniform vec3 uTint0;
uniform vec3 uTint1;
uniform vec3 uTint2;
uniform vec3 uTint3;
in vec2 vUv;
out vec4 outColour;
vec3 at(float x, float y) { return texture(uCoarse, vUv + vec2(x, y) * uTexel).rgb; }
// keeps hue; the knee is half the threshold wide
vec3 bright(vec3 c, float threshold) {
  float v = max(max(c.r, c.g), c.b);
  float knee = threshold * 0.5 + 1e-5;
  float soft = clamp(v - threshold + knee, 0.0, 2.0 * knee);
  float over = max(v - threshold, soft * soft / (4.0 * knee));
  return c * (over / max(v, 1e-6));
}
void main() {
  vec3 sum = vec3(0.0);
  if (uHasCoarse) {
    sum = at(0.0, 0.0) * 4.0 + (at(-1.0, 0.0) + at(1.0, 0.0) + at(0.0, -1.0) + at(0.0, 1.0)) * 2.0
        + at(-1.0, -1.0) + at(1.0, -1.0) + at(-1.0, 1.0) + at(1.0, 1.0);
    sum /= 16.0;
  }
  vec3 here = texture(uLevel, vUv).rgb;
  if (uWeight.x > 0.0) sum += bright(here, uThreshold.x) * uTint0 * uWeight.x;
  if (uWeight.y > 0.0) sum += bright(here, uThreshold.y) * uTint1 * uWeight.y;
  if (uWeight.z > 0.0) sum += bright(here, uThreshold.z) * uTint2 * uWeight.z;
  if (uWeight.w > 0.0) sum += bright(here, uThreshold.w) * uTint3 * uWeight.w;
  outColour = vec4(sum, 1.0);
}
