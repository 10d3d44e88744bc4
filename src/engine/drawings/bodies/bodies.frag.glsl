// A body. What is partly there is drawn in that share of the passes, by a pattern fixed for pixel and pass. Needs
// random/hash.glsl, matter/body.glsl and frame/view.glsl.
uniform mat4 uView;
uniform float uFade;       // 1, or less for an echo
uniform vec4 uPass;
uniform float uLight;
in vec3 vView;
in vec3 vNormal;
in vec3 vOwn;
flat in vec4 vLook;
flat in float vMark;

void main() {
  vec3 v = toEye(vView);
  // back into the world: the view has no scale
  vec3 toViewer = transpose(mat3(uView)) * v;
  vec3 n = normalize(vNormal);
  if (dot(n, toViewer) < 0.0) n = -n;
  Matter m = matterOf(Body(n, toViewer, vLook.rgb * uLight, vOwn, vMark));
  float there = vLook.a * uFade * m.opaque;
  if (there < 0.999) {
    uvec4 h = pcg4d(uvec4(uint(gl_FragCoord.x), uint(gl_FragCoord.y), uint(vMark), 9u));
    // passes go through the unit interval evenly, so a share of them is drawn however few there are
    if (fract(unit(h.x) + uPass.z) > there) discard;
  }
  keep(m, n, -vView.z);
}
