// A line along an edge of a body, seen from this pass's own point of the lens at its own time: a strip across the picture as wide as the
// line, a hair nearer than the body. Needs element.glsl and noise/flow.glsl.
in vec3 aFrom;
in vec3 aTo;
in vec3 aFace;           // unit normals of the faces beside it
in vec3 aOther;
in vec3 aCorner;         // which end, which side, and the cosine by which the faces turn; -1 for a border
uniform vec4 uLines[3];  // see core/lines/lines.ts
out vec2 vAt;            // pixels along and across, from the first end
out float vNear;         // one over the depth in metres
flat out vec3 vStrip;    // pixels from end to end, half widths at both
flat out float vThere;
flat out float vMark;

// metres before the eye within which nothing is drawn
const float NEAREST = 0.05;

// half its width in pixels at an end, and how far that is aside
vec3 handOf(vec3 own, float key, float half_) {
  vec3 grad;
  float n = flowNoise(own * uLines[1].x + vec3(mod(key, 61.0), 3.7, mod(key * 0.37, 29.0)), ivec3(512), 77u, uLines[1].z, int(uLines[1].y), grad);
  return vec3(half_ * (1.0 + uLines[0].z * clamp(1.6 * n, -1.0, 1.0)), grad.xy * (0.6 * uLines[0].w * half_));
}

void main() {
  gl_Position = vec4(2.0, 2.0, 2.0, 1.0);
  Element e = elementAt(ivec2(aElement.x & 1023, aElement.x >> 10));
  vThere = e.look.a;
  vMark = e.mark.x;
  if (e.size <= 0.0 || vThere <= 0.0) return;
  vec3 v[2];
  vec3 n[2];
  for (int i = 0; i < 2; i++) {
    vec3 vertex = i == 0 ? aFrom : aTo;
    vec3 normal = i == 0 ? aFace : aOther;
    vec3 straight;
    vec3 position;
    v[i] = viewOf(e, vertex, normal, straight, position);
    n[i] = mat3(uView) * normal;
  }
  // what reaches behind the eye is cut off before it
  if (uFlat == 0.0) {
    if (max(-v[0].z, -v[1].z) < NEAREST) return;
    if (-v[0].z < NEAREST) v[0] = mix(v[1], v[0], (-v[1].z - NEAREST) / (v[0].z - v[1].z));
    if (-v[1].z < NEAREST) v[1] = mix(v[0], v[1], (-v[0].z - NEAREST) / (v[1].z - v[0].z));
  }
  // which of its faces are seen from this point of the lens
  vec3 eye = uFlat > 0.0 ? vec3(0.0, 0.0, 1.0) : normalize(vec3(uLens, 0.0) - 0.5 * (v[0] + v[1]));
  float one = dot(n[0], eye);
  float other = dot(n[1], eye);
  float fold = aCorner.z;
  bool border = fold < -0.9995;
  bool contour = !border && one * other <= 0.0;
  if (!((border && uLines[2].z > 0.5) || (contour && uLines[2].x > 0.5) || (!border && fold < uLines[2].y))) return;
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
    float half_ = 0.5 * uLines[0].x * (uLines[0].y > 0.5 ? uPixelFocal / over(-v[i].z) : uPicture.y);
    hand[i] = handOf(i == 0 ? aFrom : aTo, e.mark.x, half_);
    at[i] = 0.5 * clip[i].xy / clip[i].w * uPicture + hand[i].yz;
  }
  vec2 along = at[1] - at[0];
  float far = length(along);
  along = far > 1e-4 ? along / far : vec2(1.0, 0.0);
  int end = int(aCorner.x);
  // thinner than a pixel it is a pixel wide, and there in part
  float widest = max(max(hand[0].x, hand[1].x), 0.5);
  float on = end == 0 ? -widest : far + widest;
  vec2 px = at[0] + along * on + vec2(-along.y, along.x) * aCorner.y * widest;
  vAt = vec2(on, aCorner.y * widest);
  vStrip = vec3(far, hand[0].x, hand[1].x);
  float d = -v[end].z;
  vNear = 1.0 / d;
  // half of it lies on the body, which may bulge before it: a ball as large as the body by the root of twice its radius times that half
  float inside = hand[end].x * over(d) / uPixelFocal;
  float bulge = contour && fold > 0.9 ? min(sqrt(e.size * inside), 0.25 * e.size) : 2.0 * inside;
  float closer = max(d - inside - bulge - 0.002 * d, 0.031);
  float far_ = max(uAir.z, 1.0);
  float z = uFlat > 0.0 ? (2.0 * closer - far_ - 0.03) / (far_ - 0.03) : ((far_ + 0.03) * closer - 2.0 * far_ * 0.03) / ((far_ - 0.03) * closer);
  gl_Position = vec4(2.0 * px / uPicture, z, 1.0);
}
