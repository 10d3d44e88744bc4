// Cell noise: space divided among points, one in every cell of a lattice (Worley, "A Cellular Texture Basis Function", SIGGRAPH 1996),
// periodic in space and in the lap: every point goes round a place of its own, along each axis a whole number of times a lap.
// @export cellNoise
// @shared cellNoise
// @export cellPlace
// @shared cellPlace
// @include ../random/hash.glsl
// @include ./turn.glsl

// How far beside the middle of its cell a point's own place may lie, and how far it goes about that. Both together stay within
// 0.4, so that hardly ever a nearer point lies beyond the 27 cells that are looked at: see cells.test.ts.
const float CELL_ASIDE = 0.27;
const float CELL_ORBIT = 0.13;

const int CELLS_ALL = 27;
const int CELLS_NONE = 0;

// The point of a cell, from the cell's corner. h: of the cell.
vec3 cellPoint(uvec4 h, float lap, int cycles) {
  vec3 rest = (vec3(unit(h.x), unit(h.y), unit(h.z)) * 2.0 - 1.0) * CELL_ASIDE;
  // counts from the low bits that unit() leaves unused, starts from the fourth number
  float countX = float(1 + int(((h.x & 255u) * uint(cycles)) >> 8u));
  float countY = float(1 + int(((h.y & 255u) * uint(cycles)) >> 8u));
  float countZ = float(1 + int(((h.z & 255u) * uint(cycles)) >> 8u));
  float startX = float(h.w & 1023u) * (1.0 / 1024.0);
  float startY = float((h.w >> 10u) & 1023u) * (1.0 / 1024.0);
  float startZ = float((h.w >> 20u) & 1023u) * (1.0 / 1024.0);
  vec3 about = vec3(sinTurn(fract(countX * lap) + startX), sinTurn(fract(countY * lap) + startY), sinTurn(fract(countZ * lap) + startZ));
  return rest + about * CELL_ORBIT + 0.5;
}

// p: position in cells, |p| < 1e5; period: whole cells per axis, at least 1; lap: time in laps, any real; cycles: most whole cycles
// per lap, at least 1; looked: CELLS_ALL, or CELLS_NONE where it is not asked for, because without a graphics card a loop that
// nobody needs is left out, and both sides of a condition are worked out. first, second: from the nearest and the next point to p, so that their lengths are F1 and F2, and their
// directions those lengths' derivatives; the number 0..1 of the nearest point's cell is returned.
float cellNoise(vec3 p, ivec3 period, uint seed, float lap, int cycles, int looked, out vec3 first, out vec3 second) {
  vec3 corner = floor(p);
  vec3 f = p - corner;
  ivec3 at = ivec3(corner);
  // a float division, as % of negative integers is undefined in GLSL; it may be off by one, which is put right below
  at -= period * ivec3(floor(vec3(at) / vec3(period)));
  first = vec3(9.0);
  second = vec3(9.0);
  float near = 1e9;
  float next = 1e9;
  uint own = 0u;
  for (int i = 0; i < looked; i++) {
    int layer = i / 9;
    int row = (i - layer * 9) / 3;
    ivec3 off = ivec3(i - layer * 9 - row * 3 - 1, row - 1, layer - 1);
    ivec3 m = at + off;
    m.x -= period.x * int(floor((float(m.x) + 0.5) / float(period.x)));
    m.y -= period.y * int(floor((float(m.y) + 0.5) / float(period.y)));
    m.z -= period.z * int(floor((float(m.z) + 0.5) / float(period.z)));
    uvec4 h = pcg4d(uvec4(uvec3(m), seed));
    vec3 d = f - vec3(off) - cellPoint(h, lap, cycles);
    float far = dot(d, d);
    if (far < near) {
      next = near;
      second = first;
      near = far;
      first = d;
      own = h.x ^ h.z;
    } else if (far < next) {
      next = far;
      second = d;
    }
  }
  return unit(pcg4d(uvec4(own, seed, 0u, 9u)).x);
}

// A place 0..1 by cells: each cell's own, or, with edges, 0 in the middle of cells .. 1 where they meet.
float cellPlace(vec3 p, ivec3 period, uint seed, float lap, int cycles, int looked, bool edges) {
  vec3 first;
  vec3 second;
  float own = cellNoise(p, period, seed, lap, cycles, looked, first, second);
  return edges ? 1.0 - clamp((length(second) - length(first)) * 1.6, 0.0, 1.0) : own;
}

// A height by cells, 1 at each point falling like a ball to -1 between them, by where the nearest point is; its derivative in grad.
float cellDome(vec3 first, out vec3 grad) {
  float far = 1.6 * dot(first, first);
  grad = far < 1.0 ? first * -6.4 : vec3(0.0);
  return 1.0 - 2.0 * min(1.0, far);
}

// 0 where two cells meet .. 1 from `wide` cells away from there; its derivative in grad.
float cellGap(vec3 first, vec3 second, float wide, out vec3 grad) {
  float near = length(first);
  float next = length(second);
  float t = clamp((next - near) / wide, 0.0, 1.0);
  grad = (second / max(next, 1e-6) - first / max(near, 1e-6)) * (6.0 * t * (1.0 - t) / wide);
  return t * t * (3.0 - 2.0 * t);
}
