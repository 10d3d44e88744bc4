// Halves a picture by four bilinear taps: at a reach of 0.75 texels they weigh 1 3 3 1 along either axis, the two-scale
// relation of the quadratic B-spline (de Boor, A Practical Guide to Splines). Every texel counts alike, and a bright point
// does not pulse as it moves.
uniform sampler2D uSource;
uniform vec2 uReach;   // of the taps, in texture coordinates
in vec2 vUv;
out vec4 outColour;
vec3 at(float x, float y) { return texture(uSource, vUv + vec2(x, y) * uReach).rgb; }
void main() {
  vec3 sum = at(-1.0, -1.0) + at(1.0, -1.0) + at(-1.0, 1.0) + at(1.0, 1.0);
  outColour = vec4(min(sum * 0.25, vec3(1e4)), 1.0);
}
