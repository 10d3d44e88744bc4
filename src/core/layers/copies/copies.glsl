// One copy of a body in its arrangement. Result about the arrangement's own middle; placement follows.
// @choice copiesPlace order chance height noise cells edges
// @kernel copies copiesElement id rest
// @include ../../random/hash.glsl
// @include ../../noise/flow.glsl
// @include ../../noise/cells.glsl
// @include ../../arrangement/arrangement.glsl

// Of total copies every stride-th is drawn (scattered: the first ones). What arranges them: see arrangement.glsl. stepScale: size
// of the last copy over that of the first; size: metres across; variation: 0 alike .. 1 from half to twice;
// placeBy: 0 by order, 1 by chance, 2 by height, 3 by noise, 4 by cells, 5 by their edges.
void copiesElement(uint id, vec4 rest, uint seed, int arrangement, int total, int stride, ivec3 grid, vec3 spacing,
                   float radius, float radiusEnd, float winds, float rise, int align, vec3 stepTurn, vec3 stepMove,
                   float stepScale, float bodySize, float variation, int placeBy, float placeSpread, vec3 placeScale,
                   ivec3 placePeriod, int placeCycles, float tile, vec4 course, sampler2D track, float lap,
                   out vec3 position, out vec4 rotation, out float size, out float place, out float fade, out float order, out uint key) {
  int index = arrangement == ARRANGEMENT_SCATTER ? int(id) : int(id) * stride;
  key = uint(index);
  uvec4 h = pcg4d(uvec4(key, seed, 50u, 0u));
  arranged(index, rest, arrangement, total, grid, spacing, radius, radiusEnd, winds, rise, align, stepTurn, stepMove, tile, course,
           track, position, rotation, fade, order);
  size = fade * bodySize * pow(stepScale, order) * exp2((unit(h.x) * 2.0 - 1.0) * variation);
  place = order;
  if (placeBy == COPIES_PLACE_CHANCE) place = unit(h.y);
  if (placeBy == COPIES_PLACE_HEIGHT) {
    float high = 0.5 * spacing.y * float(grid.y - 1);
    bool boxed = arrangement == ARRANGEMENT_SCATTER || arrangement == ARRANGEMENT_DEPTH;
    place = 0.5 + 0.5 * position.y / max(1e-6, arrangement == ARRANGEMENT_GRID ? high : boxed ? spacing.y * 0.5 : max(radius, radiusEnd));
  }
  if (placeBy == COPIES_PLACE_NOISE) {
    vec3 slope;
    float v = flowNoise(position * placeScale + 0.31, placePeriod, seed + 111u, lap, placeCycles, slope);
    place = 0.5 + 1.2 * v;
  }
  bool edges = placeBy == COPIES_PLACE_EDGES;
  bool cells = edges || placeBy == COPIES_PLACE_CELLS;
  float cell = cellPlace(position * placeScale + 0.31, placePeriod, seed + 111u, lap, placeCycles, cells ? CELLS_ALL : CELLS_NONE, edges);
  place = cells ? cell : place;
  place = clamp(0.5 + (place - 0.5) * placeSpread, 0.0, 1.0);
}
