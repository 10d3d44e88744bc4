// A ground between elements, of smooth matter, and perhaps water. Needs frame/view.glsl and matter/body.glsl.
uniform float uLight;
in vec3 vView;
in vec3 vLook;
in vec3 vNormal;
in vec3 vWorld;
#ifdef BEHIND
uniform sampler2D uMatter; // depth in metres of what is solid
#endif
uniform vec3 uRipple;    // strength (0: none), crests per metre across, whole cycles per lap
uniform float uRippleTile;  // crests per metre along the tile, a whole number of them in it

// derivative of crossing waves; those along the tile fit it, and all come round whole times in a lap. As the end of a loop, because
// without a graphics card both sides of a condition are worked out
vec2 ripples(vec2 p) {
  vec2 sum = vec2(0.0);
  int waves = uRipple.x > 0.0 ? 6 : 0;
  for (int i = 0; i < waves; i++) {
    float f = float(i);
    float times = floor(1.0 + f * 0.75);
    vec2 k = vec2(uRipple.y * cos(f * 2.1 + 0.4) * times, uRippleTile * floor(1.0 + mod(f * 1.7, 3.0)) * (mod(f, 2.0) < 0.5 ? 1.0 : -1.0));
    float turn = 6.2831853 * (dot(k, p) + f * 0.31 + uLap * uRipple.z * (1.0 + floor(f * 0.5)) * (mod(f, 3.0) < 0.5 ? -1.0 : 1.0));
    sum += k * (cos(turn + 0.9 * sin(turn * 0.5 + f)) / (1.0 + f * 0.6));
  }
  return sum * (uRipple.x * 0.16 / max(uRipple.y, 1e-3));
}

void main() {
  float depth = -vView.z;
#ifdef BEHIND
  if (depth >= texelFetch(uMatter, ivec2(gl_FragCoord.xy), 0).a) discard;
#endif
  vec3 v = transpose(mat3(uView)) * toEye(vView);
  // far ripples are smaller than a pixel: they only roughen
  vec2 slope = ripples(vWorld.xz) / (1.0 + depth * depth * 0.004);
  vec3 n = normalize(normalize(vNormal) - vec3(slope.x, 0.0, slope.y));
  if (dot(n, v) < 0.0) n = -n;
  vec3 world = transpose(mat3(uView)) * (vView - uView[3].xyz);
  Body b = bodyAt(n, v, vLook * uLight, vWorld, 0.0, world);
  keep(matterOf(b), b.n, depth, false);
}
