// What covers matter: a number 0..1 at every place, and how it changes there, from noises that repeat in space and over the lap.
// Places are in patches. Choices of how cells are read: see cells/cells.ts.
// @export cellPattern
// @export flowPattern
// @choice cellsBy own round domes edges
// @include ../../noise/cells.glsl
// @include ../../noise/flow.glsl

// The mean distance to the nearest point, and the mean of the difference of the two nearest, of which patterns are made to have
// their middle near one half: measured, see pattern.test.ts.
const float CELLS_MEAN = 0.5;
const float CELLS_BETWEEN = 0.26;

// by own: each cell's own number, even all over it; round: by the distance to its point, 0 there; domes: the other way about, round at
// the top; edges: 1 where cells meet. slope: the derivative to p.
float cellPattern(vec3 p, ivec3 period, uint seed, float lap, int cycles, int by, out vec3 slope) {
  vec3 first;
  vec3 second;
  float own = cellNoise(p, period, seed, lap, cycles, CELLS_ALL, first, second);
  float near = max(length(first), 1e-6);
  float next = max(length(second), 1e-6);
  slope = vec3(0.0);
  if (by == CELLS_BY_OWN) return own;
  if (by == CELLS_BY_ROUND) {
    float far = near * (0.5 / CELLS_MEAN);
    slope = far < 1.0 ? first * (0.5 / (CELLS_MEAN * near)) : vec3(0.0);
    return min(far, 1.0);
  }
  if (by == CELLS_BY_DOMES) {
    float far = near * 1.25;
    slope = far < 1.0 ? first * (-2.0 * 1.25 * 1.25) : vec3(0.0);
    return far < 1.0 ? 1.0 - far * far : 0.0;
  }
  float between = (next - near) * (0.5 / CELLS_BETWEEN);
  slope = between < 1.0 ? (first / near - second / next) * (0.5 / CELLS_BETWEEN) : vec3(0.0);
  return between < 1.0 ? 1.0 - between : 0.0;
}

// octaves: 1..4, each half as large and half as strong, offset by a constant of its own, or lattice points would never move.
float flowPattern(vec3 p, ivec3 period, uint seed, float lap, int cycles, int octaves, out vec3 slope) {
  slope = vec3(0.0);
  float sum = 0.0;
  float all = 0.0;
  for (int i = 0; i < 4; i++) {
    if (i >= octaves) break;
    int times = 1 << i;
    float strong = 1.0 / float(times);
    vec3 grad;
    vec3 at = p * float(times) + vec3(0.37, 0.71, 0.13) * float(i);
    float value = flowNoise(at, period * times, seed + uint(i), lap, cycles, grad);
    sum += strong * value;
    slope += grad;
    all += strong * strong;
  }
  // as strong however many octaves there are
  float scale = 0.62 * inversesqrt(max(all, 1e-6));
  float v = 0.5 + scale * sum;
  slope *= v > 0.0 && v < 1.0 ? scale : 0.0;
  return clamp(v, 0.0, 1.0);
}
