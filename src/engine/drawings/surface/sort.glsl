// Whether a quad of a wall is in sight, 1, and which lines it may have then, 2 to 4: the nearest are drawn first. Needs frame/view.glsl,
// wall.glsl, seen/sides.glsl, ink/draws.glsl and ink/may.glsl.

// open, and when the shutter closes
vec3 openAt(Quad q, int along, int around) { return texelFetch(uOpenPlace, elementOf(q, along, around), 0).xyz; }
vec3 shutAt(Quad q, int along, int around) { return texelFetch(uClosePlace, elementOf(q, along, around), 0).xyz; }

vec3 facingAt(Quad q, int along, int around) {
  return facing(openAt(q, along, around), openAt(q, along, around + 1), openAt(q, along + 1, around), openAt(q, along + 1, around + 1));
}

// 0 none, 1 contours, 2 both, 3 edges
int linesOf(Quad q, vec3 offset) {
  if (!INKED) return 0;
  if (drawsAll()) return 3;
  vec3 own = facingAt(q, 0, 0);
  bool edges = uWall.w == 1 && drawsBorders();
  bool round_ = false;
  bool hard = false;
  vec2 range = vec2(2.0, -2.0);
  // all quads around it: where one faces the lens and another not, lines are between
  for (int i = 0; i < 9; i++) {
    ivec2 at = ivec2(i / 3 - 1, i % 3 - 1);
    vec3 n = facingAt(q, at.x, at.y);
    float size = dot(n, n);
    if (size < 1e-24) continue;
    if (i != 4) {
      float alike = roundBetween(own, n, at.y == 0 ? uRound.zw : uRound.xy);
      round_ = round_ || alike > 0.0;
      hard = hard || alike < 1.0;
      edges = edges || (at.x + at.y == -1 && at.x * at.y == 0 && mayFold(own, n));
    }
    n *= inversesqrt(size);
    for (int k = 0; k < 4; k++) facesBetween(range, openAt(q, k / 2, k % 2) + offset, shutAt(q, k / 2, k % 2) + offset, n);
  }
  bool turns = drawsContours() && mayTurn(range, openAt(q, 0, 0) + offset);
  edges = edges || (turns && hard);
  turns = turns && round_;
  return turns || edges ? (turns ? (edges ? 2 : 1) : 3) : 0;
}

int classOf(ivec2 texel, int repetition) {
  Quad q = quadOf(texel.y * 1024 + texel.x);
  // after every so manieth ring there is a gap
  if (q.corner >= uWall.x || q.ring >= uWall.z || q.ring % (uWall.w + 1) == uWall.w) return 0;
  vec3 open = vec3(0.0);
  vec3 shut = vec3(0.0);
  for (int i = 0; i < 4; i++) {
    open += 0.25 * openAt(q, i / 2, i % 2);
    shut += 0.25 * shutAt(q, i / 2, i % 2);
  }
  float radius = 0.0;
  for (int i = 0; i < 4; i++) radius = max(radius, max(distance(openAt(q, i / 2, i % 2), open), distance(shutAt(q, i / 2, i % 2), shut)));
  vec3 offset = vec3(0.0, 0.0, -float(repetition) * uTile);
  float depth;
  if (cellUnseen(open + offset, shut + offset, radius, depth)) return 0;
  return 1 + linesOf(q, offset) + 256 * rankOf(depth);
}
