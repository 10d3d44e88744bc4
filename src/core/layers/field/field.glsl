// One particle of a field, at a time of the lap.
// @choice fieldShape box ball shell disc corridor strand grid
// @choice fieldPlace random position noise cells edges density
// @export fieldRest
// @kernel field fieldElement id
// @include ../../random/order.glsl
// @include ../../noise/moment.glsl
// @include ../../space/route.glsl
// @include ../../space/profile.glsl
// @include ../../noise/cells.glsl

// Result in metres about the volume's centre, except that
// corridor, strand and a box that tiles run from z = 0 forward (local.z is advance).
vec3 fieldRest(int shape, vec3 u, vec3 extent, float inner) {
  if (shape == FIELD_SHAPE_BOX) return (u - 0.5) * extent;
  float turn = u.x;
  if (shape == FIELD_SHAPE_DISC) {
    float r3 = sqrt(mix(inner * inner, 1.0, u.y));
    return vec3(cosTurn(turn) * r3 * extent.x * 0.5, (u.z - 0.5) * extent.y, sinTurn(turn) * r3 * extent.z * 0.5);
  }
  if (shape == FIELD_SHAPE_CORRIDOR || shape == FIELD_SHAPE_STRAND) {
    // a strand thins out from its axis: the radius itself is even, and squared once more
    float r4 = shape == FIELD_SHAPE_CORRIDOR ? sqrt(mix(inner * inner, 1.0, u.y)) : u.y * u.y;
    return vec3(cosTurn(turn) * r4 * extent.x * 0.5, sinTurn(turn) * r4 * extent.y * 0.5, (u.z - 0.5) * extent.z);
  }
  float z = u.y * 2.0 - 1.0;
  float ring = sqrt(max(0.0, 1.0 - z * z));
  float low = inner * inner * inner;
  float r = shape == FIELD_SHAPE_BALL ? pow(u.z, 1.0 / 3.0) : pow(mix(low, 1.0, u.z), 1.0 / 3.0);
  return vec3(cosTurn(turn) * ring, z, sinTurn(turn) * ring) * r * extent * 0.5;
}

// extent: full size in metres; inner: hollow share of the radius (shell, disc, corridor); at: where the centre is;
// grid: rows along x, y, z of a grid, of which every stride-th layer along z is drawn; jitter: share of a row;
// radius: of the most common particle, metres; variation: 0 all alike .. 1 a steep distribution up to 12 times larger;
// sizeBy: 0 by that law, 1 by the profile from the smallest draw to the largest; glint: 0 all equally bright .. 1 a few far
// brighter; lap: time in laps; patch_: a table of the moment for the noise of place (noise/moment.glsl); choices: where each is in the cube, and
// the density there, 0..1, where they were chosen (density.ts); place: where on the gradient, 0..1; order: 0..1 by chance.
void fieldElement(uint id, uint seed, int shape, vec3 extent, float inner, vec3 at, ivec3 grid, int stride, float jitter,
                  float radius, float variation, int sizeBy, vec4 profileA, vec4 profileB, float glint, int placeBy,
                  float placeSpread, vec3 placeScale, ivec3 placePeriod, int placeCycles, sampler2D patch_,
                  ivec3 patchFrom, ivec3 patchSize, int patchOctaves, int chosen, sampler2D choices, float tile,
                  vec4 course, sampler2D track, float lap, out vec3 position, out vec4 rotation, out float size, out float place,
                  out float light, out float order) {
  uvec4 h = pcg4d(uvec4(id, seed, 3u, 0u));
  vec3 local;
  vec4 choice = vec4(0.5);
  if (shape == FIELD_SHAPE_GRID) {
    int index = int(id);
    int row = index / grid.x;
    int layer = row / grid.y;
    ivec3 cell = ivec3(index - row * grid.x, row - layer * grid.y, layer * stride);
    h = pcg4d(uvec4(uint((cell.z * grid.y + cell.y) * grid.x + cell.x), seed, 3u, 0u));
    uvec4 shift = pcg4d(uvec4(h.w, seed, 5u, 0u));
    vec3 off = (vec3(unit(shift.x), unit(shift.y), unit(shift.z)) - 0.5) * jitter;
    local = ((vec3(cell) + 0.5 + off) / vec3(grid) - 0.5) * vec3(extent.xy, -extent.z) + at;
  } else {
    int entry = int(id);
    choice = chosen != 0 ? texelFetch(choices, ivec2(entry & 1023, entry >> 10), 0) : vec4(orderedPoint(id, seed), 0.5);
    local = fieldRest(shape, choice.xyz, extent, inner) + at;
  }
  float drawn = unit(h.x);
  float ratio = 1.0 + 11.0 * variation * variation;
  // inverse of the cumulative power law with exponent 2.5 between radius and radius * ratio
  size = sizeBy == 1 ? radius * profileAt(profileA, profileB, drawn)
                     : radius * pow(1.0 - drawn * (1.0 - pow(ratio, -1.5)), -1.0 / 1.5);
  float bright = unit(h.y);
  light = mix(1.0, 0.12 + 3.5 * bright * bright * bright * bright * bright * bright, glint);
  order = unit(h.w);
  place = unit(h.z);
  if (placeBy == FIELD_PLACE_POSITION) {
    vec3 rel = (local - at) / max(extent * 0.5, vec3(1e-6));
    place = shape == FIELD_SHAPE_BOX || shape == FIELD_SHAPE_GRID ? rel.y * 0.5 + 0.5 : shape == FIELD_SHAPE_DISC ? length(rel.xz) : shape == FIELD_SHAPE_CORRIDOR || shape == FIELD_SHAPE_STRAND ? length(rel.xy) : length(rel);
    place = mix(unit(h.z), place, 0.85);
  }
  if (placeBy == FIELD_PLACE_NOISE) {
    vec3 slope;
    ivec3 first;
    ivec3 many;
    windowOf(patchFrom, patchSize, 0, patchOctaves, first, many);
    float n = flowNoiseAt(local * placeScale, placePeriod, seed + 101u, lap, placeCycles, patch_, 0, first, many, slope);
    place = 0.5 + 1.2 * n + (unit(h.z) - 0.5) * 0.12;
  }
  if (placeBy == FIELD_PLACE_DENSITY) place = choice.w + (unit(h.z) - 0.5) * 0.12;
  bool edges = placeBy == FIELD_PLACE_EDGES;
  bool cells = edges || placeBy == FIELD_PLACE_CELLS;
  float cell = cellPlace(local * placeScale, placePeriod, seed + 101u, lap, placeCycles, cells ? CELLS_ALL : CELLS_NONE, edges);
  place = cells ? cell + (unit(h.z) - 0.5) * 0.12 : place;
  place = clamp(0.5 + (place - 0.5) * placeSpread, 0.0, 1.0);
  // local.z is a position; the route runs along -z
  vec3 origin;
  float pace;
  routeFrame(-local.z, course, tile, track, origin, rotation, pace);
  position = origin + rotateBy(rotation, vec3(local.xy, 0.0));
}
