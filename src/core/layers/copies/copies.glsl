// One copy of a body in its arrangement. Result about the arrangement's own middle; placement follows.
// @choice copiesArrangement grid ring spiral line route sphere scatter
// @choice copiesPlace order chance height noise
// @kernel copies copiesElement id rest
// @include ../../random/hash.glsl
// @include ../../noise/flow.glsl
// @include ../../space/route.glsl

const float GOLDEN = 0.61803398875;

// arrangement: 0 grid, 1 ring, 2 spiral, 3 line, 4 along a route, 5 on a sphere, 6 scattered (rest holds the place);
// total copies, of which every stride-th is drawn (scattered: the first ones); grid: copies along x, y, z; spacing: metres
// between them; radius, radiusEnd: metres; winds: turns of a spiral; rise: metres from its first copy to its last;
// align: 1 turned with the arrangement; stepTurn, stepMove: what is added from each copy to the next, in turns
// about the copy's own axes and in metres; stepScale: size of the last copy over that of the first; size: metres across; variation: 0 alike .. 1 from half to twice;
// placeBy: 0 by order, 1 by chance, 2 by height, 3 by noise.
void copiesElement(uint id, vec4 rest, uint seed, int arrangement, int total, int stride, ivec3 grid, vec3 spacing,
                   float radius, float radiusEnd, float winds, float rise, int align, vec3 stepTurn, vec3 stepMove,
                   float stepScale, float bodySize, float variation, int placeBy, float placeSpread, vec3 placeScale,
                   ivec3 placePeriod, int placeCycles, float tile, vec4 course, sampler2D track, float lap,
                   out vec3 position, out vec4 rotation, out float size, out float place, out float fade, out float order, out uint key) {
  int index = arrangement == COPIES_ARRANGEMENT_SCATTER ? int(id) : int(id) * stride;
  key = uint(index);
  uvec4 h = pcg4d(uvec4(key, seed, 50u, 0u));
  float i = float(index);
  float n = float(total);
  order = total > 1 ? i / (n - 1.0) : 0.0;
  position = vec3(0.0);
  rotation = vec4(0.0, 0.0, 0.0, 1.0);
  if (arrangement == COPIES_ARRANGEMENT_GRID) {
    int row = index / grid.x;
    int layer = row / grid.y;
    vec3 cell = vec3(float(index - row * grid.x), float(row - layer * grid.y), float(layer));
    position = (cell - (vec3(grid) - 1.0) * 0.5) * spacing * vec3(1.0, 1.0, -1.0);
  }
  if (arrangement == COPIES_ARRANGEMENT_RING || arrangement == COPIES_ARRANGEMENT_SPIRAL) {
    float turn = arrangement == COPIES_ARRANGEMENT_RING ? i / n : winds * order;
    float r = arrangement == COPIES_ARRANGEMENT_RING ? radius : mix(radius, radiusEnd, order);
    position = vec3(sinTurn(turn) * r, cosTurn(turn) * r, arrangement == COPIES_ARRANGEMENT_SPIRAL ? rise * (0.5 - order) : 0.0);
    if (align == 1) rotation = quatAbout(vec3(0.0, 0.0, 1.0), -turn);
  }
  if (arrangement == COPIES_ARRANGEMENT_LINE) position = vec3(0.0, 0.0, (0.5 * (n - 1.0) - i) * spacing.z);
  if (arrangement == COPIES_ARRANGEMENT_ROUTE) {
    // evenly within the tile; the ring about the route gives each its side
    float advance = (i + 0.5) / n * tile;
    vec4 frame;
    float pace;
    routeFrame(advance, course, tile, track, position, frame, pace);
    float turn = winds * (i + 0.5) / n;
    position += rotateBy(frame, vec3(sinTurn(turn) * radius, cosTurn(turn) * radius, 0.0));
    if (align == 1) rotation = quatTimes(frame, quatAbout(vec3(0.0, 0.0, 1.0), -turn));
  }
  if (arrangement == COPIES_ARRANGEMENT_SPHERE) {
    // a spiral from pole to pole by the golden angle, equal areas (Gonzalez, Mathematical Geosciences 42, 2010)
    float z = 1.0 - (2.0 * i + 1.0) / n;
    float around = fract(i * GOLDEN);
    float ring = sqrt(max(0.0, 1.0 - z * z));
    vec3 out_ = vec3(cosTurn(around) * ring, z, sinTurn(around) * ring);
    position = out_ * radius;
    if (align == 1) {
      // the shortest turn from the front to outwards
      vec4 q = vec4(-out_.y, out_.x, 0.0, 1.0 + out_.z);
      rotation = out_.z < -0.9999 ? vec4(0.0, 1.0, 0.0, 0.0) : q * inversesqrt(dot(q, q));
    }
  }
  // those that found no room are not there
  fade = 1.0;
  if (arrangement == COPIES_ARRANGEMENT_SCATTER) {
    position = rest.xyz;
    fade = rest.w;
  }
  float centred = arrangement == COPIES_ARRANGEMENT_RING ? i : i - 0.5 * (n - 1.0);
  position += stepMove * centred;
  rotation = quatTimes(rotation, quatTimes(quatAbout(vec3(0.0, 1.0, 0.0), stepTurn.y * i),
             quatTimes(quatAbout(vec3(1.0, 0.0, 0.0), stepTurn.x * i), quatAbout(vec3(0.0, 0.0, 1.0), stepTurn.z * i))));
  size = fade * bodySize * pow(stepScale, order) * exp2((unit(h.x) * 2.0 - 1.0) * variation);
  place = order;
  if (placeBy == COPIES_PLACE_CHANCE) place = unit(h.y);
  if (placeBy == COPIES_PLACE_HEIGHT) {
    float high = 0.5 * spacing.y * float(grid.y - 1);
    place = 0.5 + 0.5 * position.y / max(1e-6, arrangement == COPIES_ARRANGEMENT_GRID ? high : arrangement == COPIES_ARRANGEMENT_SCATTER ? spacing.y * 0.5 : max(radius, radiusEnd));
  }
  if (placeBy == COPIES_PLACE_NOISE) {
    vec3 slope;
    float v = flowNoise(position * placeScale + 0.31, placePeriod, seed + 111u, lap, placeCycles, slope);
    place = 0.5 + 1.2 * v;
  }
  place = clamp(0.5 + (place - 0.5) * placeSpread, 0.0, 1.0);
}
