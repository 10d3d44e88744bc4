// The light of lamps that the air of a pass gives on towards the eye: along the line of sight of every pixel up to the matter it shows. Counts by the
// share of the pass. Needs frame/view.glsl, frame/pixel.glsl, air/mist.glsl, core/air/lit.glsl and what lights/program.ts puts
// together, which airLit goes before.
uniform sampler2D uMatter;
uniform float uShare;
uniform float uTime;
out vec4 outLight;

void main() {
  ivec2 px = ivec2(gl_FragCoord.xy);
  float depth = min(texelFetch(uMatter, px, 0).w, 1e5);
  vec3 from = worldOf(uView, placeAt(vUv, 0.0));
  vec3 last = placeAt(vUv, depth);
  vec3 way = worldOf(uView, last) - from;
  float len = max(length(way), 1e-4);
  // where along its line a pixel looks: another place in every pass, all of them even steps
  float jitter = fract(unit(pcg4d(uvec4(px, 72u, 0u)).x) + uTime);
  outLight = vec4(airLit(from, way / len, len, metresOff(last) / len, jitter) * uShare, 0.0);
}
