// The picture averaged down to the fixed reference size on which glow is measured; equal weights over the source box.
uniform sampler2D uSource;
uniform vec2 uStep;   // a quarter of the source box, in texture coordinates
in vec2 vUv;
out vec4 outColour;
void main() {
  vec3 sum = vec3(0.0);
  for (int y = 0; y < 4; y++)
    for (int x = 0; x < 4; x++) sum += texture(uSource, vUv + (vec2(float(x), float(y)) - 1.5) * uStep).rgb;
  outColour = vec4(min(sum / 16.0, vec3(1e4)), 1.0);
}
