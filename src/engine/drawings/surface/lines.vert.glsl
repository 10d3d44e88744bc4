// A line along a quad of a wall, seen from this pass's own point of the lens: where its round wall turns away from the lens, in each of its
// two halves; along its beginning, its side and, where nothing goes on, its end. Needs frame/view.glsl, wall.glsl, ink/strip.glsl and
// ink/grid.glsl.
in ivec2 aQuad;          // the first element of a quad, and the number of its repetition
in ivec3 aStrip;         // which line of the quad; which end and which side of it

// whether there are quads so many rings beyond the quad's own
bool walled(Quad q, int along) { return (q.ring + along + uWall.z) % uWall.z % (uWall.w + 1) != uWall.w; }

vec3 facingOf(Quad q, int along, int around) {
  return facing(placeOf(q, along, around), placeOf(q, along, around + 1), placeOf(q, along + 1, around), placeOf(q, along + 1, around + 1));
}

#ifdef CONTOURS
void cornerOf(int k, out vec3 p, out vec3 n) {
  Quad q = quadOf(aQuad.x);
  p = placeOf(q, k / 2, k % 2);
  n = normalAt(q, k / 2, k % 2);
  n *= inversesqrt(max(dot(n, n), 1e-30));
}
#endif

void main() {
  noStrip();
  vThere = 1.0;
  vMark = 0.0;
  Quad q = quadOf(aQuad.x);
  int kind = aStrip.x;
  vec3 a;
  vec3 b;
  float bulge = 0.0;
#ifdef CONTOURS
  if (!drawsContours()) return;
  bool draws = turnsWithin(kind == 0 ? ivec3(0, 1, 2) : ivec3(3, 2, 1), aQuad.y, a, b, bulge);
#else
  // from one corner to another; and how far the quad is that lies beyond that line
  bool side = kind == 2;
  int ring = kind == 4 ? 1 : 0;
  ivec2 other = side ? ivec2(0, -1) : kind == 3 ? ivec2(-1, 0) : ivec2(1, 0);
  bool border = !side && !walled(q, other.x);
  // the beginning of the next quad is its own
  if (kind == 4 && !border) return;
  a = placeOf(q, ring, 0);
  b = side ? placeOf(q, 1, 0) : placeOf(q, ring, 1);
  vec3 one = facingOf(q, 0, 0);
  vec3 beyond = facingOf(q, other.x, other.y);
  bool draws = border || drawsAll()
    ? !border || drawsBorders()
    : folds(one, beyond) || turnsBetween(a, b, one, beyond, roundBetween(one, beyond, side ? uRound.xy : uRound.zw), aQuad.y);
#endif
  if (draws) gridLine(a, b, aQuad.y, aStrip.yz, bulge);
}
