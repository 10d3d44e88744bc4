// Where one of many stands in an arrangement, about the arrangement's own middle.
// @choice arrangement grid ring spiral line route sphere scatter depth
// @include ../random/hash.glsl
// @include ../space/route.glsl

const float GOLDEN = 0.61803398875;

// index of total; rest: where it is and how far it is there, of those that are given their places one by one (scattered, spread in
// depth); grid: how many along x, y, z; spacing: metres between them; radius, radiusEnd: metres; winds: turns of a spiral; rise:
// metres from its first to its last; align: 1 turned with the arrangement; stepTurn, stepMove: what is added from each to the
// next, in turns about its own axes and in metres. order: 0..1 from the first to the last.
void arranged(int index, vec4 rest, int arrangement, int total, ivec3 grid, vec3 spacing, float radius, float radiusEnd, float winds,
              float rise, int align, vec3 stepTurn, vec3 stepMove, float tile, vec4 course, sampler2D track,
              out vec3 position, out vec4 rotation, out float fade, out float order) {
  float i = float(index);
  float n = float(total);
  order = total > 1 ? i / (n - 1.0) : 0.0;
  position = vec3(0.0);
  rotation = vec4(0.0, 0.0, 0.0, 1.0);
  if (arrangement == ARRANGEMENT_GRID) {
    int row = index / grid.x;
    int layer = row / grid.y;
    vec3 cell = vec3(float(index - row * grid.x), float(row - layer * grid.y), float(layer));
    position = (cell - (vec3(grid) - 1.0) * 0.5) * spacing * vec3(1.0, 1.0, -1.0);
  }
  if (arrangement == ARRANGEMENT_RING || arrangement == ARRANGEMENT_SPIRAL) {
    float turn = arrangement == ARRANGEMENT_RING ? i / n : winds * order;
    float r = arrangement == ARRANGEMENT_RING ? radius : mix(radius, radiusEnd, order);
    position = vec3(sinTurn(turn) * r, cosTurn(turn) * r, arrangement == ARRANGEMENT_SPIRAL ? rise * (0.5 - order) : 0.0);
    if (align == 1) rotation = quatAbout(vec3(0.0, 0.0, 1.0), -turn);
  }
  if (arrangement == ARRANGEMENT_LINE) position = vec3(0.0, 0.0, (0.5 * (n - 1.0) - i) * spacing.z);
  if (arrangement == ARRANGEMENT_ROUTE) {
    // evenly within the tile; the ring about the route gives each its side
    float advance = (i + 0.5) / n * tile;
    vec4 frame;
    float pace;
    routeFrame(advance, course, tile, track, position, frame, pace);
    float turn = winds * (i + 0.5) / n;
    position += rotateBy(frame, vec3(sinTurn(turn) * radius, cosTurn(turn) * radius, 0.0));
    if (align == 1) rotation = quatTimes(frame, quatAbout(vec3(0.0, 0.0, 1.0), -turn));
  }
  if (arrangement == ARRANGEMENT_SPHERE) {
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
  if (arrangement == ARRANGEMENT_SCATTER || arrangement == ARRANGEMENT_DEPTH) {
    position = rest.xyz;
    fade = rest.w;
  }
  float centred = arrangement == ARRANGEMENT_RING ? i : i - 0.5 * (n - 1.0);
  position += stepMove * centred;
  rotation = quatTimes(rotation, quatTimes(quatAbout(vec3(0.0, 1.0, 0.0), stepTurn.y * i),
             quatTimes(quatAbout(vec3(1.0, 0.0, 0.0), stepTurn.x * i), quatAbout(vec3(0.0, 0.0, 1.0), stepTurn.z * i))));
}
