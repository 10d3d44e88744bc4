// A wall between elements, seen from this pass's own point of the lens. Needs frame/view.glsl.
uniform sampler2D uOpenPlace;
uniform sampler2D uClosePlace;
uniform sampler2D uOpenLook;
uniform mat4 uView;
uniform float uTime;
uniform float uTileOffset;
uniform vec2 uLens;      // lens point in metres
uniform vec2 uJitter;    // sub-pixel offset in pixels
out vec3 vView;
out vec3 vLook;
#ifdef SMOOTH
uniform sampler2D uOpenTurn;
out vec3 vNormal;
out vec3 vWorld;
#endif

void main() {
  ivec2 texel = ivec2(gl_VertexID & 1023, gl_VertexID >> 10);
  vec3 p = mix(texelFetch(uOpenPlace, texel, 0).xyz, texelFetch(uClosePlace, texel, 0).xyz, uTime);
  vec3 v = (uView * vec4(p - vec3(0.0, 0.0, uTileOffset), 1.0)).xyz;
  vView = v;
  vLook = texelFetch(uOpenLook, texel, 0).rgb;
#ifdef SMOOTH
  vec4 q = texelFetch(uOpenTurn, texel, 0);
  // where upright is turned to
  vNormal = vec3(2.0 * (q.x * q.y - q.w * q.z), 1.0 - 2.0 * (q.x * q.x + q.z * q.z), 2.0 * (q.y * q.z + q.w * q.x));
  vWorld = p;
#endif
  gl_Position = throughLens(v, uLens, uJitter);
}
