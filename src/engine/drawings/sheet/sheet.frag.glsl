// A ground between elements, of smooth matter, and perhaps water. Needs frame/view.glsl, frame/pixel.glsl,
// matter/body.glsl and noise/turn.glsl.
uniform float uLight;
in vec3 vView;
in vec3 vLook;
in vec3 vNormal;
in vec3 vWorld;
#ifdef BEHIND
uniform sampler2D uMatter; // depth in metres of what is solid
#endif
uniform vec3 uRipple;    // strength (0: none), crests per metre across, whole cycles per lap
uniform bool uEven;          // all of it lies in a plane
uniform vec2 uRippleTile;   // metres of a tile, and crests along it, a whole number

// derivative of crossing waves, each of which comes and goes with a wave of half as many crests. Along the tile whole numbers of them
// fit it, and in a lap all come round whole times. As the end of a loop, because without a graphics card both sides of a condition are
// worked out
vec2 ripples(vec2 p) {
  vec2 sum = vec2(0.0);
  int waves = uRipple.x > 0.0 ? 6 : 0;
  for (int i = 0; i < waves; i++) {
    float f = float(i);
    float across = uRipple.y * cos(f * 2.1 + 0.4) * floor(1.0 + f * 0.75);
    // crests in the tile, and in the lap
    vec2 whole = vec2(uRippleTile.y * floor(1.0 + mod(f * 1.7, 3.0)), uRipple.z * (1.0 + floor(f * 0.5)));
    vec2 way = vec2(mod(f, 2.0) < 0.5 ? 1.0 : -1.0, mod(f, 3.0) < 0.5 ? -1.0 : 1.0);
    vec2 place = vec2(p.y / uRippleTile.x, uLap);
    float turn = across * p.x + dot(whole * way, place) + f * 0.31;
    float slow = 0.5 * across * p.x + dot(floor(0.5 * whole + 0.5) * way, place) + f * 0.314;
    sum += vec2(across, whole.x * way.x / uRippleTile.x) * (cosTurn(turn + 0.143 * sinTurn(slow)) / (1.0 + f * 0.6));
  }
  return sum * (uRipple.x * 0.16 / max(uRipple.y, 1e-3));
}

void main() {
  // of what is even a pixel's place is known better than by what lies between vertices, of which some are near the eye's own plane
  vec3 seen = uEven ? meets(gl_FragCoord.xy / uPicture, mat3(uView) * normalize(vNormal), vView) : vView;
  float depth = -seen.z;
#ifdef BEHIND
  if (depth >= texelFetch(uMatter, ivec2(gl_FragCoord.xy), 0).a) discard;
#endif
  vec3 v = transpose(mat3(uView)) * toEye(seen);
  // far ripples are smaller than a pixel: they only roughen
  vec3 own = vWorld + transpose(mat3(uView)) * (seen - vView);
  vec2 slope = ripples(own.xz) / (1.0 + depth * depth * 0.004);
  vec3 n = normalize(normalize(vNormal) - vec3(slope.x, 0.0, slope.y));
  if (dot(n, v) < 0.0) n = -n;
  vec3 world = transpose(mat3(uView)) * (seen - uView[3].xyz);
  Body b = bodyAt(n, v, vLook * uLight, own, 0.0, world);
  Matter m = matterOf(b);
#if defined(MIRRORED) && !defined(SHINES)
  m.colour = litNow(b, m);
#endif
  keep(m, b.n, depth, false);
}
