// @shared profileAt
// A curve over 0..1 held as eight equally spaced values, smooth between them (Catmull-Rom, flat at both ends), never
// leaving the range of its neighbours.

float profileKnot(vec4 a, vec4 b, int i) {
  return i <= 0 ? a.x : i == 1 ? a.y : i == 2 ? a.z : i == 3 ? a.w : i == 4 ? b.x : i == 5 ? b.y : i == 6 ? b.z : b.w;
}

float profileAt(vec4 a, vec4 b, float t) {
  float x = clamp(t, 0.0, 1.0) * 7.0;
  float cell = min(floor(x), 6.0);
  int i = int(cell);
  float u = x - cell;
  float p1 = profileKnot(a, b, i);
  float p2 = profileKnot(a, b, i + 1);
  float m1 = 0.5 * (p2 - profileKnot(a, b, i - 1));
  float m2 = 0.5 * (profileKnot(a, b, i + 2) - p1);
  float u2 = u * u;
  float u3 = u2 * u;
  float v = p1 * (2.0 * u3 - 3.0 * u2 + 1.0) + m1 * (u3 - 2.0 * u2 + u) + p2 * (3.0 * u2 - 2.0 * u3) + m2 * (u3 - u2);
  return clamp(v, min(p1, p2), max(p1, p2));
}
