// What a lamp lights up of the air along a line: the line is cut to its cone and to its reach, and places on it are chosen evenly by
// the angle under which the lamp sees them, by which the inverse square drops out (Kulla & Fajardo, "Importance Sampling Techniques for Path
// Tracing in Participating Media", Computer Graphics Forum 31(4), 2012): where air and lamp are even, the light along the line is this angle over its distance from the
// lamp, in closed form.
// @export litSpan
// @export litAngles
// @export litAt
// @export litScatter

// Metres from..to along a line, of length 1 a metre, that lie in a cone about `axis`, the way it shines, and within `reach` of its tip; to is less
// than from where nothing does. cosine: of half its angle, above 0; -1 for a lamp that shines all round.
vec2 litSpan(vec3 from, vec3 way, float len, vec3 tip, vec3 axis, float cosine, float reach) {
  vec3 o = from - tip;
  float ow = dot(o, way);
  float oo = dot(o, o);
  float inBall = ow * ow - oo + reach * reach;
  if (inBall <= 0.0) return vec2(0.0, -1.0);
  float half_ = sqrt(inBall);
  vec2 span = vec2(max(0.0, -ow - half_), min(len, -ow + half_));
  if (cosine > 0.0) {
    float a = dot(way, axis);
    float q = dot(o, axis);
    float k = cosine * cosine;
    float A = a * a - k;
    if (abs(A) < 1e-6) A = -1e-6;
    float B = q * a - k * ow;
    float C = q * q - k * oo;
    float d = B * B - A * C;
    // lines across it: between where it goes in and out, if that is not of the cone behind the tip
    if (A < 0.0 && (d <= 0.0 || q - a * B / A < 0.0)) return vec2(0.0, -1.0);
    float root = sqrt(max(d, 0.0));
    float t0 = (-B + root) / A;
    float t1 = (-B - root) / A;
    if (A < 0.0) span = vec2(max(span.x, t0), min(span.y, t1));
    // lines along it: from where it goes in on, or up to where it goes out
    else if (a > 0.0) span.x = max(span.x, t0);
    else span.y = min(span.y, t1);
  }
  return span;
}

// The foot of the lamp on a line in metres, its distance from there, no less than the lamp's own radius, and the angles under which it sees both ends of a
// span, in radians from the foot.
vec4 litAngles(vec3 from, vec3 way, vec2 span, vec3 place, float radius) {
  vec3 o = place - from;
  float foot = dot(o, way);
  float far = sqrt(max(dot(o, o) - foot * foot, 0.0) + radius * radius);
  return vec4(foot, far, atan((span.x - foot) / far), atan((span.y - foot) / far));
}

// Metres along a line of a place 0..1 of the angle, and how much it counts: places are evenly apart, wherever the first is, and stand closer to
// the ends and count less there, without a slope, by which a few of them give the integral of what is smooth many times better (the periodizing
// transform of numerical integration; Sag & Szekeres, Mathematics of Computation 18, 1964, from memory). angles: of litAngles
vec2 litAt(vec4 angles, float at) {
  float turn = 6.2831853 * at;
  float share = at - sin(turn) / 6.2831853;
  return vec2(angles.x + angles.y * tan(mix(angles.z, angles.w, share)), 1.0 - cos(turn));
}

// Share of light that is scattered by an angle, a steradian: forward above 0, backward below (Henyey & Greenstein, Astrophysical Journal 93,
// 1941). cosine: of the angle by which it turns.
float litScatter(float cosine, float forward) {
  float g2 = forward * forward;
  float below = max(1.0 + g2 - 2.0 * forward * cosine, 1e-4);
  return (1.0 - g2) / (12.5663706 * below * sqrt(below));
}
