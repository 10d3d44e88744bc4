// One corner of one ring of a tunnel, at a time of the lap.
// Element order: corner fastest, then nested copy, then ring.
// @choice tunnelWobble noise cells
// @choice tunnelPlace random position noise side cells edges
// @kernel tunnel tunnelElement id
// @include ../../random/hash.glsl
// @include ../../noise/flow.glsl
// @include ../../noise/cells.glsl
// @include ../../space/route.glsl

// corners: 3 or more (64 stand for a curve); roundness: 0 the plain outline, else the exponent of a superellipse; drawn: 1 the
// outline is the one in section, x and y of each corner in units of the radius;
// copies: 1, or 2 with a nested inner copy of innerRatio turned by innerTurn; rings per tile of tile metres, of which every
// stride-th is drawn; twist: turns per tile; wobble: share of the radius moved by noise, or by domes in cells; place: where on the gradient, the
// same for a whole ring unless placeBy is 3 (by side); light: 1 or more; order: 0..1 along the tile.
// The ring is the element: position and rotation are its centre's, spoke is where on it, in units of size.
void tunnelElement(uint id, uint seed, int corners, float roundness, int drawn, sampler2D section, float flatness, int copies, float innerRatio,
                   float innerTurn, float radius, int rings, int stride, float tile, float twist, float wobble,
                   int wobbleBy, int wobbleCycles, int placeBy, float placeSpread, int placeCycles, int placeDetail, float accent,
                   vec4 course, sampler2D track, float lap, out vec3 position, out vec4 rotation, out vec3 spoke,
                   out float size, out float place, out float light, out float order, out uint key) {
  int index = int(id);
  int copy = (index / corners) % copies;
  int row = index / (corners * copies);
  // one ring past the tile closes its skin and wires onto the next tile's first ring; for the slopes of a wall there are one more past
  // it, and at the end the last before the tile
  int shown = row * stride > rings + stride ? -stride : row * stride;
  int ring = (shown + rings) % rings;
  int cornerIndex = index - (index / corners) * corners;
  key = uint(ring * 2 + copy);
  uvec4 h = pcg4d(uvec4(uint(ring), uint(copy), seed, 4u));
  float along = (float(shown) + 0.5) / float(rings);
  order = fract(along);
  float inside = float(copy);
  size = radius * mix(1.0, innerRatio, inside);
  float turn = float(cornerIndex) / float(corners) + innerTurn * inside + 0.25;
  float cx = cosTurn(turn);
  float cy = sinTurn(turn);
  if (roundness > 0.0) {
    // superellipse |x|^n + |y|^n = 1 along the direction of the corner
    float reach = pow(pow(abs(cx), roundness) + pow(abs(cy), roundness), -1.0 / roundness);
    cx *= reach;
    cy *= reach;
  }
  if (drawn == 1) {
    vec2 corner = texelFetch(section, ivec2(cornerIndex, 0), 0).xy;
    float ci = cosTurn(innerTurn * inside);
    float si = sinTurn(innerTurn * inside);
    cx = corner.x * ci - corner.y * si;
    cy = corner.x * si + corner.y * ci;
  }
  cy *= flatness;
  float around = twist * along;
  float ca = cosTurn(around);
  float sa = sinTurn(around);
  vec2 flat_ = vec2(cx * ca - cy * sa, cx * sa + cy * ca);
  vec3 slope;
  if (wobble > 0.0) {
    // by the direction in space, not by the corner: a turn by one side then closes, and so does a twisted tile
    vec3 q = vec3(flat_ * (0.9 * inversesqrt(dot(flat_, flat_) + 1e-9)), along * 6.0);
    float n = flowNoise(q, ivec3(8, 8, 6), seed + 21u, lap, wobbleCycles, slope);
    vec3 first;
    vec3 second;
    cellNoise(q, ivec3(8, 8, 6), seed + 21u, lap, wobbleCycles, wobbleBy == TUNNEL_WOBBLE_CELLS ? CELLS_ALL : CELLS_NONE, first, second);
    if (wobbleBy == TUNNEL_WOBBLE_CELLS) n = cellDome(first, slope);
    flat_ *= 1.0 + wobble * n;
  }
  spoke = vec3(flat_, 0.0);
  place = order;
  if (placeBy == TUNNEL_PLACE_RANDOM) place = unit(h.z);
  if (placeBy == TUNNEL_PLACE_POSITION) place = abs(place * 2.0 - 1.0);
  if (placeBy == TUNNEL_PLACE_NOISE) {
    vec3 q = vec3(0.31, inside * 0.37, along * float(placeDetail));
    float n = flowNoise(q, ivec3(4, 4, placeDetail), seed + 31u, lap, placeCycles, slope);
    place = 0.5 + 1.25 * n + (unit(h.w) - 0.5) * 0.25;
  }
  bool edges = placeBy == TUNNEL_PLACE_EDGES;
  bool cells = edges || placeBy == TUNNEL_PLACE_CELLS;
  vec3 patchAt = vec3(0.31, inside * 0.37, along * float(placeDetail));
  float cell = cellPlace(patchAt, ivec3(4, 4, placeDetail), seed + 31u, lap, placeCycles, cells ? CELLS_ALL : CELLS_NONE, edges);
  place = cells ? cell : place;
  if (placeBy == TUNNEL_PLACE_SIDE) place = abs(float(cornerIndex) / float(corners) * 2.0 - 1.0);
  place = clamp(0.5 + (place - 0.5) * placeSpread, 0.0, 1.0);
  // the accent: one ring in a few burns, its turn coming and going with the lap
  float wave = 0.5 + 0.5 * sinTurn(unit(h.y) + fract(lap * float(1 + int(h.x % 3u))));
  light = mix(1.0, 0.25 + 4.0 * wave * wave * wave * wave, accent);
  float pace;
  routeFrame(along * tile, course, tile, track, position, rotation, pace);
}
