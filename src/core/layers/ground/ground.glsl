// One vertex of the ground, which repeats with the tile.
// @export groundHeight
// @shared groundHeight
// @choice groundForm round ridged cobbles columns
// @choice groundPlace height slope noise cells edges
// @kernel ground groundElement id
// @include ../../noise/flow.glsl
// @include ../../space/rotation.glsl
// @include ../../noise/cells.glsl

// Height in metres and its derivative along x and z at a place. relief: metres; scale: noise units per metre; period: units
// after which it repeats along z; octaves 1..6; form: round hills, sharp crests, or
// of cells, domes or columns with gaps between them; valley: metres to either side
// of the route that stay low, rising over as many again.
void groundHeight(vec2 at, uint seed, float relief, vec3 scale, ivec3 period, int octaves, int form, float valley,
                  out float height, out vec2 slope) {
  height = 0.0;
  slope = vec2(0.0);
  float gain = 1.0;
  float times = 1.0;
  float sum = 0.0;
  for (int i = 0; i < 6; i++) {
    if (i < octaves) {
      vec3 grad;
      vec3 q = vec3(at.x, 0.0, at.y) * scale * times + vec3(0.37, 0.61, 0.0) * float(i + 1);
      float n = flowNoise(q, period * int(times), seed + uint(i), 0.13, 1, grad);
      vec3 first;
      vec3 second;
      float own = cellNoise(q, period * int(times), seed + uint(i), 0.13, 1, form >= GROUND_FORM_COBBLES ? CELLS_ALL : CELLS_NONE, first, second);
      if (form == GROUND_FORM_COBBLES) {
        n = cellDome(first, grad);
      }
      if (form == GROUND_FORM_COLUMNS) {
        vec3 ways;
        float gap = cellGap(first, second, 0.3, ways);
        n = 2.0 * own * gap - 1.0;
        grad = ways * (2.0 * own);
      }
      vec2 g = vec2(grad.x * scale.x, grad.z * scale.z) * times;
      if (form == GROUND_FORM_RIDGED) {
        float side = n < 0.0 ? 1.0 : -1.0;
        n = 1.0 - 2.0 * abs(n);
        g = g * (2.0 * side);
      }
      height += n * gain;
      slope += g * gain;
      sum += gain;
      gain *= 0.5;
      times *= 2.0;
    }
  }
  height *= relief / sum;
  slope *= relief / sum;
  if (valley > 0.0) {
    float d = abs(at.x);
    float t = clamp((d - valley) / valley, 0.0, 1.0);
    float keep = t * t * (3.0 - 2.0 * t);
    float steep = t > 0.0 && t < 1.0 ? 6.0 * t * (1.0 - t) / valley * (at.x < 0.0 ? -1.0 : 1.0) : 0.0;
    slope = slope * keep + vec2(height * steep, 0.0);
    height *= keep;
  }
}

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
  if (water == 0) groundHeight(vec2(x, z), seed, relief, scale, period, octaves, form, valley, height, slope);
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
