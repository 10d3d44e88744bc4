// One particle of a field, at a time of the lap.
// @export fieldElement
// @loop fieldRun fieldElement id
// @call flowNoise
// @include ../../random/order.glsl
// @include ../../noise/flow.glsl
// @include ../../space/route.glsl

// shape: 0 box, 1 ball, 2 shell, 3 disc, 4 corridor. Result in metres about the volume's centre, except that the
// corridor, and a box that tiles, run from z = 0 forward (local.z is advance).
vec3 fieldRest(int shape, vec3 u, vec3 extent, float inner) {
  if (shape == 0) return (u - 0.5) * extent;
  float turn = u.x;
  if (shape == 3) {
    float r3 = sqrt(mix(inner * inner, 1.0, u.y));
    return vec3(cosTurn(turn) * r3 * extent.x * 0.5, (u.z - 0.5) * extent.y, sinTurn(turn) * r3 * extent.z * 0.5);
  }
  if (shape == 4) {
    float r4 = sqrt(mix(inner * inner, 1.0, u.y));
    return vec3(cosTurn(turn) * r4 * extent.x * 0.5, sinTurn(turn) * r4 * extent.y * 0.5, (u.z - 0.5) * extent.z);
  }
  float z = u.y * 2.0 - 1.0;
  float ring = sqrt(max(0.0, 1.0 - z * z));
  float low = inner * inner * inner;
  float r = shape == 1 ? pow(u.z, 1.0 / 3.0) : pow(mix(low, 1.0, u.z), 1.0 / 3.0);
  return vec3(cosTurn(turn) * ring, z, sinTurn(turn) * ring) * r * extent * 0.5;
}

// extent: full size in metres; inner: hollow share of the radius (shell, disc, corridor); at: where the centre is;
// radius: of the most common particle, metres; variation: 0 all alike .. 1 a steep distribution up to 12 times larger;
// glint: 0 all equally bright .. 1 a few far brighter; drift in metres; driftScale: noise lattice units per metre;
// driftPeriod: lattice units after which the drift repeats; lap: time in laps; place: where on the gradient, 0..1.
void fieldElement(uint id, uint seed, int shape, vec3 extent, float inner, vec3 at, float radius, float variation,
                  float glint, float drift, vec3 driftScale, ivec3 driftPeriod, int driftCycles, int placeBy,
                  float placeSpread, vec3 placeScale, ivec3 placePeriod, int placeCycles, float routeRadius,
                  float routeTurns, float lap, out vec3 position, out float size, out float place, out float light) {
  vec3 u = orderedPoint(id, seed);
  uvec4 h = pcg4d(uvec4(id, seed, 3u, 0u));
  vec3 local = fieldRest(shape, u, extent, inner) + at;
  float drawn = unit(h.x);
  float ratio = 1.0 + 11.0 * variation * variation;
  // inverse of the cumulative power law with exponent 2.5 between radius and radius * ratio
  size = radius * pow(1.0 - drawn * (1.0 - pow(ratio, -1.5)), -1.0 / 1.5);
  float bright = unit(h.y);
  light = mix(1.0, 0.12 + 3.5 * bright * bright * bright * bright * bright * bright, glint);
  place = unit(h.z);
  if (placeBy == 1) {
    vec3 rel = (local - at) / max(extent * 0.5, vec3(1e-6));
    place = shape == 0 ? rel.y * 0.5 + 0.5 : shape == 3 ? length(rel.xz) : shape == 4 ? length(rel.xy) : length(rel);
    place = mix(unit(h.z), place, 0.85);
  }
  if (placeBy == 2) {
    vec3 slope;
    float n = flowNoise(local * placeScale, placePeriod, seed + 101u, lap, placeCycles, slope);
    place = 0.5 + 1.2 * n + (unit(h.z) - 0.5) * 0.12;
  }
  place = clamp(0.5 + (place - 0.5) * placeSpread, 0.0, 1.0);
  if (drift > 0.0) {
    vec3 q = local * driftScale;
    vec3 a;
    vec3 b;
    vec3 c;
    float unused = flowNoise(q, driftPeriod, seed + 11u, lap, driftCycles, a);
    unused = flowNoise(q, driftPeriod, seed + 12u, lap, driftCycles, b);
    unused = flowNoise(q, driftPeriod, seed + 13u, lap, driftCycles, c);
    local += vec3(c.y - b.z, a.z - c.x, b.x - a.y) * (drift * 0.39);
  }
  // local.z is a position; the route runs along -z
  position = routePoint(vec3(local.xy, -local.z), routeRadius, routeTurns);
}
