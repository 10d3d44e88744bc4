// The aperture as an area-preserving image of the unit square, and back.
// Square to disc: Shirley & Chiu, "A Low Distortion Map Between Disk and Square", 1997. The disc's area is pi; a polygon of
// B blades has the same area, so changing the blades does not change the exposure.
// @export lensPoint
// @export apertureGauge
// @shared apertureGauge
// @export apertureSquare
// @shared apertureSquare
// @include ../noise/turn.glsl

const float PI = 3.14159265358979;

// a direction's angle in turns, -0.5..0.5, to 1e-6 (polynomial: built-in atan is coarse on some GPUs)
float angleTurn(vec2 v) {
  float big = max(abs(v.x), abs(v.y));
  float small = min(abs(v.x), abs(v.y));
  float q = small / max(big, 1e-20);
  // reduce to |x| <= tan(pi/8)
  bool high = q > 0.41421356;
  float x = high ? (q - 1.0) / (q + 1.0) : q;
  float x2 = x * x;
  float a = x * (1.0 + x2 * (-0.33333333 + x2 * (0.2 + x2 * (-0.14285714 + x2 * (0.11111111 + x2 * (-0.09090909 + x2 * 0.06))))));
  a = high ? a + PI * 0.25 : a;
  a = abs(v.y) > abs(v.x) ? PI * 0.5 - a : a;
  a = v.x < 0.0 ? PI - a : a;
  a = v.y < 0.0 ? -a : a;
  return a / TAU;
}

// polygon's circumradius for area pi
float circumradius(float blades) { return sqrt(PI / (blades * 0.5 * sinTurn(1.0 / blades))); }

// s in the unit square; blades: 0 a disc, else 3 or more; turn in turns; squeeze: 2 = twice as tall as wide.
vec2 lensPoint(vec2 s, float blades, float turn, float squeeze) {
  vec2 q = s * 2.0 - 1.0;
  float r = 0.0;
  float t = 0.0;
  if (abs(q.x) > abs(q.y)) { r = q.x; t = 0.125 * (q.y / q.x); }
  else if (q.y != 0.0) { r = q.y; t = 0.25 - 0.125 * (q.x / q.y); }
  vec2 u = vec2(cosTurn(t + turn), sinTurn(t + turn)) * r;
  if (blades > 2.5) {
    float along = (r < 0.0 ? t + 0.5 : t) * blades;
    float k = floor(along);
    float f = along - k;
    vec2 p0 = vec2(cosTurn(k / blades + turn), sinTurn(k / blades + turn));
    vec2 p1 = vec2(cosTurn((k + 1.0) / blades + turn), sinTurn((k + 1.0) / blades + turn));
    u = mix(p0, p1, f) * (abs(r) * circumradius(blades));
  }
  float root = sqrt(squeeze);
  return vec2(u.x / root, u.y * root);
}

// How far out v lies: 0 centre, 1 on the edge of the aperture.
float apertureGauge(vec2 v, float blades, float turn, float squeeze) {
  float root = sqrt(squeeze);
  vec2 w = vec2(v.x * root, v.y / root);
  if (blades < 2.5) return length(w);
  float a = angleTurn(w) - turn;
  float along = a * blades;
  float mid = (floor(along) + 0.5) / blades + turn;
  return dot(w, vec2(cosTurn(mid), sinTurn(mid))) / (circumradius(blades) * cosTurn(0.5 / blades));
}

// The point of the unit square that lensPoint maps to v; v is taken to the edge when it lies outside.
vec2 apertureSquare(vec2 v, float blades, float turn, float squeeze) {
  float root = sqrt(squeeze);
  vec2 w = vec2(v.x * root, v.y / root);
  float a = angleTurn(w) - turn;
  float r = length(w);
  if (blades > 2.5) {
    float along = a * blades;
    float k = floor(along);
    float mid = (k + 0.5) / blades + turn;
    vec2 n = vec2(cosTurn(mid), sinTurn(mid));
    float x = dot(w, n);
    float y = w.y * n.x - w.x * n.y;
    float h = cosTurn(0.5 / blades);
    r = x / (circumradius(blades) * h);
    float f = 0.5 + 0.5 * y * h / (max(x, 1e-9) * sinTurn(0.5 / blades));
    a = (k + clamp(f, 0.0, 1.0)) / blades;
  }
  r = min(r, 1.0);
  a = a - floor(a);
  // eighths of a turn from the four axes: inverse of the concentric map
  float quarter = floor(a * 4.0 + 0.5);
  float off = (a - quarter * 0.25) * 8.0 * r;
  vec2 q = vec2(r, off);
  if (quarter == 1.0) q = vec2(-off, r);
  if (quarter == 2.0) q = vec2(-r, -off);
  if (quarter == 3.0) q = vec2(off, -r);
  return q * 0.5 + 0.5;
}
