// Elements carried by moving air: the curl of three noises, which neither gathers nor thins them out.
// @export driftElement
// @loop driftRun driftElement weight
// @call curl
// @call flowNoise
// @include ../../noise/flow.glsl

// amount: metres, about the farthest most are carried; scale: lattice units per metre; period: lattice units after which
// the air repeats; cycles: most whole cycles per lap; octaves: 1..5, each half as large and half as strong, and an offset of its own;
// lap: time in laps.
void driftElement(float weight, uint seed, float amount, vec3 scale, ivec3 period, int cycles, int octaves, float lap,
                  inout vec3 position) {
  float much = amount * weight * 0.39;
  if (much == 0.0) return;
  vec3 q = position * scale;
  vec3 carried = curl(q, period, seed + 11u, lap, cycles);
  if (octaves > 1) carried += curl(q * 2.0 + 0.37, period * 2, seed + 14u, lap, cycles) * 0.5;
  if (octaves > 2) carried += curl(q * 4.0 + 0.71, period * 4, seed + 17u, lap, cycles) * 0.25;
  if (octaves > 3) carried += curl(q * 8.0 + 0.13, period * 8, seed + 20u, lap, cycles) * 0.125;
  if (octaves > 4) carried += curl(q * 16.0 + 0.59, period * 16, seed + 23u, lap, cycles) * 0.0625;
  position += carried * much;
}
