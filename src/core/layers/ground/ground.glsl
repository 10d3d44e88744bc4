// One vertex of the ground, which repeats with the tile.
// @choice groundPlace height slope noise cells edges
// @kernel ground groundElement id
// @include ../../noise/flow.glsl
// @include ../../noise/land.glsl
// @include ../../space/rotation.glsl
// @include ../../noise/cells.glsl

// columns by rows of vertices over width by tile metres, one row past the tile closing it onto the next; every stride-th row
// and column is drawn; level: metres above the route; water: 1 flat.
void groundElement(uint id, uint seed, int columns, int rows, int stride, float width, float tile, vec2 level, float relief,
                   vec3 scale, ivec3 period, int octaves, int form, float valley, int water, int placeBy, float placeSpread,
                   vec3 placeScale, ivec3 placePeriod, out vec3 position, out vec4 rotation, out float place, out float order) {
  int across = columns / stride + 1;
  int row = int(id) / across;
  int column = int(id) - row * across;
  float x = (float(column * stride) / float(columns) - 0.5) * width;
  float z = -float(row * stride) / float(rows) * tile;
  float height = 0.0;
  vec2 slope = vec2(0.0);
  if (water == 0) landHeight(vec2(x, z), seed, relief, scale, period, octaves, form, valley, height, slope);
  position = vec3(x + level.x, height + level.y, z);
  // the shortest turn from upright to the normal
  vec3 n = vec3(-slope.x, 1.0, -slope.y);
  n = n * inversesqrt(dot(n, n));
  vec4 q = vec4(n.z, 0.0, -n.x, 1.0 + n.y);
  rotation = q * inversesqrt(dot(q, q));
  order = fract(float(row * stride) / float(rows));
  place = placeBy == GROUND_PLACE_HEIGHT ? 0.5 + 0.5 * height / max(relief, 1e-4) : n.y;
  if (placeBy == GROUND_PLACE_NOISE) {
    vec3 grad;
    float v = flowNoise(vec3(x, 0.3, z) * placeScale, placePeriod, seed + 91u, 0.13, 1, grad);
    place = 0.5 + 0.8 * v;
  }
  bool edges = placeBy == GROUND_PLACE_EDGES;
  bool cells = edges || placeBy == GROUND_PLACE_CELLS;
  float cell = cellPlace(vec3(x, 0.3, z) * placeScale, placePeriod, seed + 91u, 0.13, 1, cells ? CELLS_ALL : CELLS_NONE, edges);
  place = cells ? cell : place;
  place = clamp(0.5 + (place - 0.5) * placeSpread, 0.0, 1.0);
}
