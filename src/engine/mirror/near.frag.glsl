// How near what a mirror shows is: one over its depth in metres, and whether anything is there at all.
uniform sampler2D uMatter;
out vec4 outNear;
void main() {
  float depth = texelFetch(uMatter, ivec2(gl_FragCoord.xy), 0).w;
  outNear = depth > 1e8 ? vec4(0.0) : vec4(1.0 / depth, 1.0, 0.0, 0.0);
}
