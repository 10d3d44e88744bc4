// Flow noise: simplex-type gradient noise whose gradients rotate, periodic in space and in the lap.
// Rotating gradients: Perlin & Neyret, "Flow Noise", 2001. Tiling: Gustavson & McEwan, JCGT 11(1), 2022.
// Every lattice vertex turns in its own hashed plane, and the plane's two axes have different whole numbers of cycles
// per lap, so that a fixed point in space does not see a plain sine that merely negates itself.
// @export flowNoise
// @shared flowNoise
// @include ../random/hash.glsl
// @include ./turn.glsl

// The gradient of one lattice vertex at a moment. vertex: in doubled lattice coordinates, within one period of 0..period2.
vec3 gradientOf(ivec3 vertex, ivec3 period2, uint seed, float lap, int cycles) {
  ivec3 m = vertex;
  m.x += m.x < 0 ? period2.x : m.x >= period2.x ? -period2.x : 0;
  m.y += m.y < 0 ? period2.y : m.y >= period2.y ? -period2.y : 0;
  m.z += m.z < 0 ? period2.z : m.z >= period2.z ? -period2.z : 0;
  uvec4 h = pcg4d(uvec4(uvec3(m), seed));
  vec3 n = vec3(unit(h.x), unit(h.y), unit(h.z)) * 2.0 - 1.0;
  n = n * inversesqrt(dot(n, n) + 1e-12);
  // orthonormal basis of the plane perpendicular to n (Duff et al., JCGT 6(1), 2017)
  float sg = n.z >= 0.0 ? 1.0 : -1.0;
  float a = -1.0 / (sg + n.z);
  float b = n.x * n.y * a;
  vec3 e1 = vec3(1.0 + sg * n.x * n.x * a, sg * b, -sg * n.x);
  vec3 e2 = vec3(b, sg + n.y * n.y * a, -n.y);
  float count1 = float(1 + int(((h.w & 65535u) * uint(cycles)) >> 16u));
  float start1 = float(h.w >> 16u) * (1.0 / 65536.0);
  // the second axis: a different count, from the low bits that unit() leaves unused
  float count2 = count1 + 1.0 + float(((h.x & 255u) * uint(cycles - 1)) >> 8u);
  count2 -= count2 > float(cycles) ? float(cycles) : 0.0;
  float start2 = float(h.y & 255u) * (1.0 / 256.0);
  return e1 * sinTurn(fract(count1 * lap) + start1) + e2 * sinTurn(fract(count2 * lap) + start2);
}

// brings the largest value of 10 million samples to about 0.95 (measured; see flow.test.ts for range and variance)
const float FLOW_SCALE = 27.0;

// Where p is in the lattice: the first corner of its cell in doubled lattice coordinates; how far p is from there; and the
// second and third corner from the first.
void cellOf(vec3 p, out ivec3 base, out vec3 fo, out ivec3 q1, out ivec3 q2) {
  vec3 u = p.yzx + p.zxy;
  vec3 uf = floor(u);
  vec3 f = u - uf;
  ivec3 i0 = ivec3(uf);
  bool xy = f.x >= f.y;
  bool yz = f.y >= f.z;
  bool xz = f.x >= f.z;
  ivec3 o1 = ivec3(xy && xz ? 1 : 0, !xy && yz ? 1 : 0, !xz && !yz ? 1 : 0);
  ivec3 o2 = ivec3(xy || xz ? 1 : 0, !xy || yz ? 1 : 0, !xz || !yz ? 1 : 0);
  // doubled lattice positions are integers; distances from fractional parts keep precision
  fo = vec3(f.y + f.z - f.x, f.z + f.x - f.y, f.x + f.y - f.z) * 0.5;
  base = ivec3(i0.y + i0.z - i0.x, i0.z + i0.x - i0.y, i0.x + i0.y - i0.z);
  q1 = ivec3(o1.y + o1.z - o1.x, o1.z + o1.x - o1.y, o1.x + o1.y - o1.z);
  q2 = ivec3(o2.y + o2.z - o2.x, o2.z + o2.x - o2.y, o2.x + o2.y - o2.z);
}

// A corner of a cell from its first, 0..3.
ivec3 cornerOf(int i, ivec3 q1, ivec3 q2) { return i == 0 ? ivec3(0) : i == 1 ? q1 : i == 2 ? q2 : ivec3(1); }

// A vertex within one period, by a float division, as % of negative integers is undefined in GLSL; gradientOf() absorbs a
// rounding by one.
ivec3 wrapped(ivec3 vertex, ivec3 period2) { return vertex - period2 * ivec3(floor(vec3(vertex) / vec3(period2))); }

// What a corner of gradient g adds to value and derivative at d from it; w: how far within its reach that is, above 0.
void addCorner(vec3 g, vec3 d, float w, inout float value, inout vec3 grad) {
  float gd = dot(g, d);
  float w2 = w * w;
  float w3 = w2 * w;
  grad += g * w3 - d * (6.0 * w2 * gd);
  value += w3 * gd;
}

// p: position in lattice units, |p| < 1e5; period: whole units per axis, at least 2; lap: time in laps, any real;
// cycles: most whole cycles per lap, at least 1. Value in -1..1, derivative to p in grad.
float flowNoise(vec3 p, ivec3 period, uint seed, float lap, int cycles, out vec3 grad) {
  ivec3 period2 = period * 2;
  ivec3 base;
  vec3 fo;
  ivec3 q1;
  ivec3 q2;
  cellOf(p, base, fo, q1, q2);
  base = wrapped(base, period2);
  grad = vec3(0.0);
  float s = 0.0;
  // a loop, as shader compilers would otherwise work on four copies of the corner for every call
  for (int i = 0; i < 4; i++) {
    ivec3 q = cornerOf(i, q1, q2);
    vec3 d = fo - vec3(q) * 0.5;
    float w = 0.5 - dot(d, d);
    if (w <= 0.0) continue;
    addCorner(gradientOf(base + q, period2, seed, lap, cycles), d, w, s, grad);
  }
  grad *= FLOW_SCALE;
  return s * FLOW_SCALE;
}
