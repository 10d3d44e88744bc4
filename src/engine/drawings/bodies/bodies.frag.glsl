// A body. What is partly there is drawn in that share of the passes, by a pattern fixed for pixel and pass; with ENTIRE defined
// all of it is, and graphics cards need not run this where something is in front. Needs random/hash.glsl, matter/body.glsl,
// frame/view.glsl and lens/noise.glsl.
#ifdef BEHIND
uniform sampler2D uMatter; // depth in metres of what is solid
#endif
uniform float uFade;       // 1, or less for an echo
uniform vec4 uPass;
uniform float uLight;
in vec3 vView;
in vec3 vNormal;
#ifdef SHINES
in vec3 vOwn;
#else
const vec3 vOwn = vec3(0.0);
#endif
flat in vec4 vLook;
flat in float vMark;
#ifdef BLURS
flat in float vBlur;
#elif defined(OVER)
const float vBlur = -1.0;
#else
const float vBlur = 0.0;
#endif
#ifdef CUT
uniform vec3 uCut;
in float vOut;
#endif

void main() {
#ifdef BEHIND
  // what is behind something solid is not seen through
  float solid = texelFetch(uMatter, ivec2(gl_FragCoord.xy), 0).a;
  if (-vView.z >= solid) discard;
#endif
  vec3 v = toEye(vView);
  // back into the world: the view has no scale
  vec3 toViewer = transpose(mat3(uView)) * v;
  vec3 world = transpose(mat3(uView)) * (vView - uView[3].xyz);
  vec3 n = normalize(vNormal);
#ifdef CUT
  if (vOut < 0.0) discard;
#ifndef OPEN
  // the inside of what is closed is seen through the cut, as a face across it
  if (!gl_FrontFacing) n = -uCut;
#endif
#endif
  if (dot(n, toViewer) < 0.0) n = -n;
#ifdef RELIEF
  n = relieved(n, world);
  if (dot(n, toViewer) < 0.0) n = normalize(n - toViewer * dot(n, toViewer) / dot(toViewer, toViewer));
#endif
#ifdef PICTURED
  Shown shown = shownOn(vMark, gl_FrontFacing);
  vec3 base = shown.colour * vLook.rgb * uLight;
  Body b = bodyAt(n, toViewer, base * shown.gives, vOwn, vMark, world);
  Matter m = matterOf(b);
#ifdef SHINES
  m.colour += base * shown.light;
#else
  m.glow += shown.light / max(shown.gives, 1e-4);
#endif
  m.opaque *= shown.there * OPACITY;
#else
  Body b = bodyAt(n, toViewer, vLook.rgb * uLight, vOwn, vMark, world);
  Matter m = matterOf(b);
#endif
  bool partly = false;
#ifndef ENTIRE
  float there = vLook.a * uFade * m.opaque;
  partly = there < ENTIRELY;
  if (partly) {
    // few passes are spread over neighbours (lens/gather.frag.glsl), among which the pattern is to be even
    float at = uPass.w < 3.5 ? noiseOf(gl_FragCoord.xy + 5.588238 * mod(vMark, 64.0))
      : unit(pcg4d(uvec4(uint(gl_FragCoord.x), uint(gl_FragCoord.y), uint(vMark), 9u)).x);
    // passes go through the unit interval evenly, so a share of them is drawn however few there are
    if (fract(at + uPass.z) > there) discard;
  }
#endif
  keep(m, b.n, -vView.z, partly, vBlur);
}
