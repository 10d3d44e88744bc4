// One corner of one ring of a tunnel, at a time of the lap.
// Element order: corner fastest, then nested copy, then ring.
// @export tunnelElement
// @loop tunnelRun tunnelElement id
// @call flowNoise
// @include ../../random/hash.glsl
// @include ../../noise/flow.glsl
// @include ../../space/route.glsl

// corners: 3 or more (64 stands for a circle); copies: 1, or 2 with a nested inner copy of innerRatio turned by
// innerTurn; rings per tile of tile metres, of which every stride-th is drawn; twist: turns per tile; spin: turns; disorder: share of the radius;
// wobble: share of the radius moved by noise; place: where on the gradient, the same for a whole ring; light: 1 or more.
void tunnelElement(uint id, uint seed, int corners, int copies, float innerRatio, float innerTurn, float radius,
                   int rings, int stride, float tile, float twist, float spin, float disorder, float wobble, int wobbleCycles,
                   int placeBy, float placeSpread, int placeCycles, int placeDetail, float accent, float routeRadius,
                   float routeTurns, float lap, out vec3 position, out float size, out float place, out float light) {
  int index = int(id);
  int copy = (index / corners) % copies;
  int drawn = (index / (corners * copies)) * stride;
  // one ring past the tile closes its skin and wires onto the next tile's first ring
  int ring = drawn >= rings ? drawn - rings : drawn;
  int cornerIndex = index - (index / corners) * corners;
  uvec4 h = pcg4d(uvec4(uint(ring), uint(copy), seed, 4u));
  float along = (float(drawn) + 0.5) / float(rings);
  float inside = float(copy);
  float r = radius * mix(1.0, innerRatio, inside) * (1.0 + (unit(h.x) - 0.5) * 2.0 * disorder);
  float turn = float(cornerIndex) / float(corners) + twist * along + spin + innerTurn * inside + 0.25
             + (unit(h.y) - 0.5) * 0.25 * disorder;
  vec3 slope;
  if (wobble > 0.0) {
    // by the direction in space, not by the corner: a turn by one side then closes, and so does a twisted tile
    vec3 q = vec3(cosTurn(turn) * 0.9, sinTurn(turn) * 0.9, along * 6.0);
    float n = flowNoise(q, ivec3(8, 8, 6), seed + 21u, lap, wobbleCycles, slope);
    r *= 1.0 + wobble * n;
  }
  vec3 local = vec3(cosTurn(turn) * r, sinTurn(turn) * r, along * tile);
  local.xy += (vec2(unit(h.z), unit(h.w)) - 0.5) * radius * disorder;
  place = along - floor(along);
  if (placeBy == 0) place = unit(h.z);
  if (placeBy == 1) place = abs(place * 2.0 - 1.0);
  if (placeBy == 2) {
    vec3 q = vec3(0.31, inside * 0.37, along * float(placeDetail));
    float n = flowNoise(q, ivec3(4, 4, placeDetail), seed + 31u, lap, placeCycles, slope);
    place = 0.5 + 1.25 * n + (unit(h.w) - 0.5) * 0.25;
  }
  place = clamp(0.5 + (place - 0.5) * placeSpread, 0.0, 1.0);
  // the accent: one ring in a few burns, its turn coming and going with the lap
  float wave = 0.5 + 0.5 * sinTurn(unit(h.y) + fract(lap * float(1 + int(h.x % 3u))));
  light = mix(1.0, 0.25 + 4.0 * wave * wave * wave * wave, accent);
  size = r;
  position = routePoint(local, routeRadius, routeTurns);
}
