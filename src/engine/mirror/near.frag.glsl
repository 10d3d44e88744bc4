// How near what a mirror shows is: one over its depth in metres, and how far anything is there at all; of four pixels together.
uniform sampler2D uMatter;
out vec4 outNear;
void main() {
  ivec2 last = textureSize(uMatter, 0) - 1;
  vec2 sum = vec2(0.0);
  for (int i = 0; i < 4; i++) {
    float depth = texelFetch(uMatter, min(ivec2(gl_FragCoord.xy) * 2 + ivec2(i % 2, i / 2), last), 0).w;
    if (depth < 1e8) sum += vec2(1.0 / depth, 1.0);
  }
  outNear = vec4(0.25 * sum, 0.0, 0.0);
}
