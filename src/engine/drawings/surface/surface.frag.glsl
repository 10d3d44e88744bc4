// A wall between elements, of some matter. Needs frame/view.glsl and matter/body.glsl.
uniform float uLight;
in vec3 vView;
in vec3 vLook;
in vec3 vNormal;
in vec3 vWorld;
#ifdef BEHIND
uniform sampler2D uMatter; // depth in metres of what is solid
#endif

void main() {
  float depth = -vView.z;
#ifdef BEHIND
  if (depth >= texelFetch(uMatter, ivec2(gl_FragCoord.xy), 0).a) discard;
#endif
  vec3 v = transpose(mat3(uView)) * toEye(vView);
  // a quad without a size has no normal: it is as if it faced the eye
  float size = dot(vNormal, vNormal);
  vec3 n = size > 1e-6 ? vNormal * inversesqrt(size) : v;
  if (dot(n, v) < 0.0) n = -n;
  vec3 world = transpose(mat3(uView)) * (vView - uView[3].xyz);
  // what is more than white shines the more
  float most = max(1.0, max(vLook.r, max(vLook.g, vLook.b)));
  Body b = bodyAt(n, v, vLook / most, vWorld, 0.0, world);
  b.glow *= uLight * most;
  keep(matterOf(b), b.n, depth, false);
}
