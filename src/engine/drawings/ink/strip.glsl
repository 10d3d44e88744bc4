// A drawn line from one place of the view to another, seen from this pass's own point of the lens: a strip across the picture as wide as
// the line, a hair nearer than what it is drawn along. Needs frame/view.glsl, ink/draws.glsl and noise/flow.glsl.
#ifndef HAS_EYE
uniform mat4 uView;
uniform float uTile;     // metres from one repetition to the next
uniform vec2 uLens;      // lens point in metres
uniform vec2 uJitter;    // sub-pixel offset in pixels
#endif
out vec2 vAt;            // pixels along and across, from the first end
out float vNear;         // one over the depth in metres
flat out vec3 vStrip;    // pixels from end to end, half widths at both
flat out float vThere;
flat out float vMark;

// metres before the eye within which nothing is drawn
const float NEAREST = 0.05;

// no line at all, until one is drawn
void noStrip() { gl_Position = vec4(2.0, 2.0, 2.0, 1.0); }

// Cuts off what reaches behind the eye. Whether anything is left
bool beforeEye(inout vec3 a, inout vec3 b) {
  if (uFlat > 0.0) return true;
  if (max(-a.z, -b.z) < NEAREST) return false;
  if (-a.z < NEAREST) a = mix(b, a, (-b.z - NEAREST) / (a.z - b.z));
  if (-b.z < NEAREST) b = mix(a, b, (-a.z - NEAREST) / (b.z - a.z));
  return true;
}

// towards this point of the lens, of length 1
vec3 toLens(vec3 v) { return uFlat > 0.0 ? vec3(0.0, 0.0, 1.0) : normalize(vec3(uLens, 0.0) - v); }

// half its width in pixels at an end, and how far that is aside; own: where on what it is drawn along, in strokes
vec3 handOf(vec3 own, ivec3 period, float key, float half_) {
  vec3 grad;
  float n = flowNoise(own + vec3(mod(key, 61.0), 3.7, mod(key * 0.37, 29.0)), period, 77u, uLines[1].z, int(uLines[1].y), grad);
  return vec3(half_ * (1.0 + uLines[0].z * clamp(1.6 * n, -1.0, 1.0)), grad.xy * (0.6 * uLines[0].w * half_));
}

// own: in strokes, with the periods in which they repeat; key: of what it is drawn along; corner: which end, which side;
// bulge: metres of the radius of what bulges before the line; 0 where nothing does
void drawStrip(vec3 v[2], vec3 own[2], ivec3 period, float key, vec2 corner, float bulge) {
#ifdef OVER
  vec2 lens = vec2(0.0);
#else
  vec2 lens = uLens;
#endif
  vec4 clip[2];
  vec3 hand[2];
  vec2 at[2];
  for (int i = 0; i < 2; i++) {
    clip[i] = throughLens(v[i], lens, uJitter);
    float half_ = 0.5 * uLines[0].x * (uLines[0].y > 0.5 ? uPixelFocal / over(-v[i].z) : uHigh);
    hand[i] = handOf(own[i], period, key, half_);
    at[i] = 0.5 * clip[i].xy / clip[i].w * uPicture + hand[i].yz;
  }
  vec2 along = at[1] - at[0];
  float far = length(along);
  along = far > 1e-4 ? along / far : vec2(1.0, 0.0);
  int end = int(corner.x);
  // thinner than a pixel it is a pixel wide, and there in part
  float widest = max(max(hand[0].x, hand[1].x), 0.5);
  float on = end == 0 ? -widest : far + widest;
  vec2 px = at[0] + along * on + vec2(-along.y, along.x) * corner.y * widest;
  vAt = vec2(on, corner.y * widest);
  vStrip = vec3(far, hand[0].x, hand[1].x);
  float d = -v[end].z;
  vNear = 1.0 / d;
  // half of it lies on what it is drawn along, which may bulge before it: by the root of twice the radius times that half
  float inside = hand[end].x * over(d) / uPixelFocal;
  float closer = max(d - inside - (bulge > 0.0 ? min(sqrt(bulge * inside), 0.25 * bulge) : 2.0 * inside) - 0.002 * d, 0.031);
  float far_ = max(uAir.z, 1.0);
  float z = uFlat > 0.0 ? (2.0 * closer - far_ - 0.03) / (far_ - 0.03) : ((far_ + 0.03) * closer - 2.0 * far_ * 0.03) / ((far_ - 0.03) * closer);
  if (uMirror.w != 0.0) {
    vec2 way = behindMirror(uFlat > 0.0 ? vec3(v[end].xy, -closer) : v[end] * (closer / d));
    z = way.x / way.y;
  }
  gl_Position = vec4(2.0 * px / uPicture, z, 1.0);
}
