// What one side of the cube around the eye shows of a fisheye's circle. Where two sides or three see the same, one passes into the other.
// PICK: a pixel is of the one side that sees it best, as it is; else the light of all is added.
uniform sampler2D uSide;
uniform vec2 uSize;      // pixels of the picture
uniform vec2 uCircle;     // radians from the middle of the circle to its rim, and for each pixel
uniform mat3 uToSides[SIDES];
uniform int uSides;
uniform int uOwn;        // which of them is drawn
uniform vec4 uNothing;   // what is beyond the circle
out vec4 outSide;

// the way that is seen so many radians from the middle (core/lens/fisheye.ts)
vec3 wayOf(vec2 at) {
  float angle = length(at);
  return vec3(at * (angle > 0.0 ? sin(angle) / angle : 1.0), -cos(angle));
}

// the share of the picture that the own side is where a way is seen, and where on it
float shareOf(vec3 way, out vec2 at, out bool best) {
  float all = 0.0;
  float own = 0.0;
  float most = 0.0;
  int first = -1;
  at = vec2(0.0);
  for (int k = 0; k < SIDES; k++) {
    if (k >= uSides) break;
    vec3 v = uToSides[k] * way;
    vec2 seen = v.xy / max(-v.z, 1e-6);
    float beyond = max(abs(seen.x), abs(seen.y));
    float share = v.z < 0.0 ? 1.0 - smoothstep(1.0 - OVERLAP, 1.0 + OVERLAP, beyond) : 0.0;
    all += share;
    if (share > most) { most = share; first = k; }
    if (k == uOwn) { own = share; at = 0.5 + 0.5 * seen / (1.0 + OVERLAP); }
  }
  best = first == uOwn;
  return own / max(all, 1e-6);
}

void main() {
  vec2 px = gl_FragCoord.xy - 0.5 * uSize;
  vec2 at;
  bool best;
#ifdef PICK
  shareOf(wayOf(px * uCircle.y), at, best);
  bool within = length(px) * uCircle.y <= uCircle.x;
  if (within ? !best : uOwn > 0) discard;
  outSide = within ? texelFetch(uSide, ivec2(at * vec2(textureSize(uSide, 0))), 0) : uNothing;
#else
  float rim = clamp(uCircle.x / uCircle.y - length(px) + 0.5, 0.0, 1.0);
  if (rim == 0.0) discard;
  vec4 sum = vec4(0.0);
  // towards its edges a side is finer than the circle: four places a pixel
  for (int k = 0; k < 4; k++) {
    vec2 off = vec2(k < 2 ? -0.25 : 0.25, (k & 1) == 0 ? -0.25 : 0.25);
    float share = shareOf(wayOf((px + off) * uCircle.y), at, best);
    if (share > 0.0) sum += share * texture(uSide, at);
  }
  outSide = 0.25 * rim * sum;
#endif
}
