// Light drawn along lines: four samples, each farther by a step or by a factor about a place. Passes that are each four times as far make 256
// samples of four times four (Kawase, "Frame Buffer Postprocessing Effects in DOUBLE-S.T.E.A.L", Game Developers Conference 2003).
uniform sampler2D uSource;
uniform vec2 uStep;    // texture coordinates
uniform vec2 uAbout;
uniform float uFactor; // natural logarithm of it
uniform vec4 uShares;
in vec2 vUv;
out vec4 outColour;

// nothing shines from beyond the picture; at its sides half a texel fades
vec3 at(float i) {
  vec2 p = uAbout + (vUv - uAbout) * exp(uFactor * i) + uStep * i;
  vec2 inside = clamp(0.5 + min(p, 1.0 - p) * vec2(textureSize(uSource, 0)), 0.0, 1.0);
  return texture(uSource, p).rgb * (inside.x * inside.y);
}

void main() {
  outColour = vec4(at(0.0) * uShares.x + at(1.0) * uShares.y + at(2.0) * uShares.z + at(3.0) * uShares.w, 1.0);
}
