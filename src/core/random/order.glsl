// A low-discrepancy order in the cube: point id of the R3 sequence (Roberts, "The Unreasonable Effectiveness of
// Quasirandom Sequences", 2018), held as 32-bit fixed point so that the millionth point is as exact as the first.
// Each point is jittered by about its own spacing at the time it was added: the lattice of R3 does not show, the first
// k of N stay a fair sample, and raising the count moves nothing.
// @export orderedPoint
// @shared orderedPoint
// @include ./hash.glsl

vec3 orderedPoint(uint id, uint seed) {
  uvec4 h = pcg4d(uvec4(id, seed, 1u, 0u));
  uvec4 start = pcg4d(uvec4(seed, 0u, 2u, 0u));
  uint x = start.x + id * 3518319155u;
  uint y = start.y + id * 2882110345u;
  uint z = start.z + id * 2360945575u;
  float spacing = 0.9 / pow(float(id) + 1.0, 1.0 / 3.0);
  vec3 p = vec3(unit(x), unit(y), unit(z)) + (vec3(unit(h.x), unit(h.y), unit(h.z)) - 0.5) * spacing;
  return p - floor(p);
}
