// Halves a picture: 13 taps in five overlapping boxes, so that a bright point does not pulse as it moves
// (Jimenez, Advances in Real-Time Rendering course, SIGGRAPH 2014).
uniform sampler2D uSource;
uniform vec2 uTexel;
in vec2 vUv;
out vec4 outColour;
vec3 at(float x, float y) { return texture(uSource, vUv + vec2(x, y) * uTexel).rgb; }
void main() {
  vec3 inner = at(-1.0, -1.0) + at(1.0, -1.0) + at(-1.0, 1.0) + at(1.0, 1.0);
  vec3 edges = at(0.0, -2.0) + at(-2.0, 0.0) + at(2.0, 0.0) + at(0.0, 2.0);
  vec3 corners = at(-2.0, -2.0) + at(2.0, -2.0) + at(-2.0, 2.0) + at(2.0, 2.0);
  outColour = vec4(at(0.0, 0.0) * 0.125 + inner * 0.125 + edges * 0.0625 + corners * 0.03125, 1.0);
}
