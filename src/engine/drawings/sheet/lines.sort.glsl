// Whether a cell of a sheet is in sight, and may have contours, 1, edges, 3, or both, 2. Needs frame/view.glsl, cells.glsl, seen/sides.glsl, ink/draws.glsl and
// ink/may.glsl.
int classOf(ivec2 texel, int repetition) {
  int id = texel.y * 1024 + texel.x;
  ivec2 cell = ivec2(id % uSheet.x, id / uSheet.x);
  vec3 offset = vec3(0.0, 0.0, -float(repetition) * uTile);
  vec3 open = vec3(0.0);
  vec3 shut = vec3(0.0);
  for (int i = 0; i < 4; i++) {
    ivec2 at = cell + ivec2(i % 2, i / 2);
    open += 0.25 * openAt(at);
    shut += 0.25 * shutAt(at);
  }
  float radius = 0.0;
  for (int i = 0; i < 4; i++) radius = max(radius, distance(openAt(cell + ivec2(i % 2, i / 2)), open));
  float depth;
  // while the shutter is open it may grow
  if (cellUnseen(open + offset, shut + offset, 1.05 * radius, depth)) return 0;
  bool edges = drawsAll() || (drawsBorders() && (cell.x == 0 || cell.x == uSheet.x - 1));
  if (!edges) {
    vec3 own = facingOf(cell, uTile);
    edges = mayFold(own, facingOf(cell - ivec2(1, 0), uTile)) || mayFold(own, facingOf(cell - ivec2(0, 1), uTile));
  }
  bool turns = false;
  if (drawsContours() && !drawsAll()) {
    vec2 range = vec2(2.0, -2.0);
    for (int i = 0; i < 4; i++) {
      ivec2 at = cell + ivec2(i % 2, i / 2);
      facesBetween(range, openAt(at) + offset, shutAt(at) + offset, normalAt(at));
    }
    turns = mayTurn(range, open + offset);
  }
  return turns || edges ? (turns ? (edges ? 2 : 1) : 3) + 256 * rankOf(depth) : 0;
}
