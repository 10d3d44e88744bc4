// A wall or ground between elements. Rough walls of tunnels are dark, lit by a lamp at the camera and glowing by themselves
// (needs matter/surface.glsl); with SMOOTH defined it is made of matter (needs matter/body.glsl), and may be water.
uniform float uLight;
in vec3 vView;
in vec3 vLook;
#ifdef SMOOTH
in vec3 vNormal;
in vec3 vWorld;
uniform mat4 uView;
uniform vec3 uRipple;    // strength (0: none), crests per metre across, whole cycles per lap
uniform float uRippleTile;  // crests per metre along the tile, a whole number of them in it

// derivative of crossing waves; those along the tile fit it, and all come round whole times in a lap
vec2 ripples(vec2 p) {
  vec2 sum = vec2(0.0);
  for (int i = 0; i < 6; i++) {
    float f = float(i);
    float times = floor(1.0 + f * 0.75);
    vec2 k = vec2(uRipple.y * cos(f * 2.1 + 0.4) * times, uRippleTile * floor(1.0 + mod(f * 1.7, 3.0)) * (mod(f, 2.0) < 0.5 ? 1.0 : -1.0));
    float turn = 6.2831853 * (dot(k, p) + f * 0.31 + uLap * uRipple.z * (1.0 + floor(f * 0.5)) * (mod(f, 3.0) < 0.5 ? -1.0 : 1.0));
    sum += k * (cos(turn + 0.9 * sin(turn * 0.5 + f)) / (1.0 + f * 0.6));
  }
  return sum * (uRipple.x * 0.16 / max(uRipple.y, 1e-3));
}
#endif

void main() {
  float depth = -vView.z;
#ifdef SMOOTH
  vec3 v = transpose(mat3(uView)) * toEye(vView);
  vec3 n = normalize(vNormal);
  if (uRipple.x > 0.0) {
    // far ripples are smaller than a pixel: they only roughen
    vec2 slope = ripples(vWorld.xz) / (1.0 + depth * depth * 0.004);
    n = normalize(n - vec3(slope.x, 0.0, slope.y));
  }
  if (dot(n, v) < 0.0) n = -n;
  keep(matterOf(Body(n, v, vLook * uLight, vWorld, 0.0)), n, depth, false);
#else
  vec3 n = normalize(cross(dFdx(vView), dFdy(vView)));
  float d = length(vView);
  float facing = abs(dot(n, toEye(vView)));
  float lamp = facing / (1.0 + d * d * 0.06);
  float sheen = pow(1.0 - facing, 5.0) * 0.35;
  keepShone(vLook * uLight * (0.06 + 0.4 * lamp + sheen), depth, false);
#endif
}
