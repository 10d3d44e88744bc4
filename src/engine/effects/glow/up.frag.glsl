// Doubles the glow gathered so far, four bilinear taps a pixel, and adds the glows whose radius belongs to this level.
// Needs glow/bright.glsl with names that begin with level_.
uniform sampler2D uCoarse;
uniform sampler2D uLevel;
uniform vec2 uCoarseReach;  // of the taps, in texture coordinates
uniform vec2 uLevelReach;
uniform int uHasCoarse;      // 0 or 1
in vec2 vUv;
out vec4 outColour;
vec3 glowing(float x, float y) { return level_bright(texture(uLevel, vUv + vec2(x, y) * uLevelReach).rgb); }
vec3 coarse(float x, float y) { return texture(uCoarse, vUv + vec2(x, y) * uCoarseReach).rgb; }
void main() {
  vec3 sum = vec3(0.0);
  for (int i = 0; i < uHasCoarse; i++) sum += coarse(-1.0, -1.0) + coarse(1.0, -1.0) + coarse(-1.0, 1.0) + coarse(1.0, 1.0);
  for (int i = 0; i < min(level_count, 1); i++) sum += glowing(-1.0, -1.0) + glowing(1.0, -1.0) + glowing(-1.0, 1.0) + glowing(1.0, 1.0);
  outColour = vec4(sum * 0.25, 1.0);
}
