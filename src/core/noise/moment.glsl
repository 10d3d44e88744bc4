// Flow noise of one moment. At one phase the gradient of a vertex is a constant: many samples read it from a table of the
// vertices in a window of the lattice, few samples hash it, and so do those outside the window. The values are the same.
// @kernel moment momentEntry id
// @export flowNoiseAt
// @export curlAt
// @export flowsAt
// @shared flowNoiseAt
// @shared flowsAt
// @shared curlAt
// @include ./flow.glsl

// The window of an octave, in whole lattice units: of samples at from..from + size times 2^octave, moved by an offset below one, and
// of the corners of their cells. It holds a vertex for each unit and one for its middle; nothing from `octaves` on.
void windowOf(ivec3 from, ivec3 size, int octave, int octaves, out ivec3 first, out ivec3 many) {
  int times = 1 << octave;
  first = from * times - 2;
  many = octave < octaves ? size * times + 5 : ivec3(0);
}

// Entries of a window's table for one potential.
int verticesOf(ivec3 many) { return 2 * many.x * many.y * many.z; }

// One entry of the table: octave by octave, vertices of whole places before those between, x quickest, `potentials` noises for
// each, whose seeds follow one another from octave to octave.
void momentEntry(uint id, uint seed, ivec3 period, float lap, int cycles, int potentials, ivec3 from, ivec3 size, int octaves,
                 out vec4 entry) {
  int n = int(id) / potentials;
  int potential = int(id) - n * potentials;
  int octave = 0;
  ivec3 first;
  ivec3 many;
  windowOf(from, size, 0, octaves, first, many);
  for (int i = 1; i < 5; i++) {
    int vertices = verticesOf(many);
    if (n < vertices || i >= octaves) break;
    n -= vertices;
    octave = i;
    windowOf(from, size, i, octaves, first, many);
  }
  int row = n / many.x;
  int plane = row / many.y;
  int between = plane / many.z;
  ivec3 cell = ivec3(n - row * many.x, row - plane * many.y, plane - between * many.z);
  ivec3 period2 = period * (2 << octave);
  ivec3 vertex = wrapped((first + cell) * 2 + between, period2);
  entry = vec4(gradientOf(vertex, period2, seed + uint(octave * potentials + potential), lap, cycles), 0.0);
}

vec3 entryOf(sampler2D moment, int at) { return texelFetch(moment, ivec2(at & 1023, at >> 10), 0).xyz; }

// Where the table holds a vertex, by potential 0.
int entryAt(ivec3 vertex, ivec3 first, ivec3 many, int potentials) {
  ivec3 cell = (vertex >> 1) - first;
  return ((((vertex.x & 1) * many.z + cell.z) * many.y + cell.y) * many.x + cell.x) * potentials;
}

// 4 where a window holds all corners of a cell, 0 where it does not: as the end of a loop, because without a graphics card a loop
// that no element needs is left out, and both sides of a condition are worked out.
int cornersIn(ivec3 base, ivec3 first, ivec3 many) {
  ivec3 low = ((base - 1) >> 1) - first;
  ivec3 high = ((base + 2) >> 1) - first;
  return all(greaterThanEqual(low, ivec3(0))) && all(lessThan(high, many)) ? 4 : 0;
}

// flowNoise() by a table of one potential. start: of the octave's entries; first, many: its window.
float flowNoiseAt(vec3 p, ivec3 period, uint seed, float lap, int cycles, sampler2D moment, int start, ivec3 first, ivec3 many,
                  out vec3 grad) {
  ivec3 base;
  vec3 fo;
  ivec3 q1;
  ivec3 q2;
  cellOf(p, base, fo, q1, q2);
  int known = cornersIn(base, first, many);
  grad = vec3(0.0);
  float s = 0.0;
  for (int i = 0; i < known; i++) {
    ivec3 q = cornerOf(i, q1, q2);
    vec3 d = fo - vec3(q) * 0.5;
    float w = 0.5 - dot(d, d);
    if (w <= 0.0) continue;
    int at = start + entryAt(base + q, first, many, 1);
    addCorner(entryOf(moment, at), d, w, s, grad);
  }
  grad *= FLOW_SCALE;
  s *= FLOW_SCALE;
  for (int i = known; i < 1; i++) s = flowNoise(p, period, seed, lap, cycles, grad);
  return s;
}

// Two noises or three, of seeds that follow one another, which share the cell, by a table of as many potentials: the values of the
// first two, and the derivatives of all. start: of the octave's entries; first, many: its window.
vec2 flowsAt(vec3 p, ivec3 period, uint seed, float lap, int cycles, int potentials, sampler2D moment, int start, ivec3 first,
             ivec3 many, out vec3 a, out vec3 b, out vec3 c) {
  ivec3 base;
  vec3 fo;
  ivec3 q1;
  ivec3 q2;
  cellOf(p, base, fo, q1, q2);
  int known = cornersIn(base, first, many);
  a = vec3(0.0);
  b = vec3(0.0);
  c = vec3(0.0);
  float s = 0.0;
  float t = 0.0;
  float u = 0.0;
  for (int i = 0; i < known; i++) {
    ivec3 q = cornerOf(i, q1, q2);
    vec3 d = fo - vec3(q) * 0.5;
    float w = 0.5 - dot(d, d);
    if (w <= 0.0) continue;
    int at = start + entryAt(base + q, first, many, potentials);
    addCorner(entryOf(moment, at), d, w, s, a);
    int second = at + 1;
    addCorner(entryOf(moment, second), d, w, t, b);
    int third = at + 2;
    if (potentials > 2) addCorner(entryOf(moment, third), d, w, u, c);
  }
  a *= FLOW_SCALE;
  b *= FLOW_SCALE;
  c *= FLOW_SCALE;
  s *= FLOW_SCALE;
  t *= FLOW_SCALE;
  for (int i = known; i < 1; i++) {
    s = flowNoise(p, period, seed, lap, cycles, a);
    t = flowNoise(p, period, seed + 1u, lap, cycles, b);
  }
  for (int i = known; i < potentials - 2; i++) u = flowNoise(p, period, seed + 2u, lap, cycles, c);
  return vec2(s, t);
}

// Divergence-free flow from three potentials (Bridson, Hourihan & Nordenstam, "Curl-Noise", 2007), by a table of them.
vec3 curlAt(vec3 p, ivec3 period, uint seed, float lap, int cycles, sampler2D moment, int start, ivec3 first, ivec3 many) {
  vec3 a;
  vec3 b;
  vec3 c;
  flowsAt(p, period, seed, lap, cycles, 3, moment, start, first, many, a, b, c);
  return vec3(c.y - b.z, a.z - c.x, b.x - a.y);
}
