// Elements carried by moving air: the curl of three noises, which neither gathers nor thins them out.
// @kernel drift driftElement weight
// @include ../../noise/flow.glsl

// amount: metres, about the farthest most are carried; scale: lattice units per metre; period: lattice units after which
// the air repeats; cycles: most whole cycles per lap; octaves: 1..5, each half as large and half as strong, and an offset of its own;
// lap: time in laps.
void driftElement(float weight, uint seed, float amount, vec3 scale, ivec3 period, int cycles, int octaves, float lap,
                  inout vec3 position) {
  float much = amount * weight * 0.39;
  if (much == 0.0) return;
  vec3 q = position * scale;
  vec3 carried = vec3(0.0);
  for (int i = 0; i < 5; i++) {
    if (i >= octaves) break;
    int times = 1 << i;
    // each octave is offset by a constant of its own, or lattice points would never move
    vec3 at = q * float(times) + fract(float(i) * 0.37);
    vec3 swirl = curl(at, period * times, seed + 11u + 3u * uint(i), lap, cycles);
    carried += swirl / float(times);
  }
  position += carried * much;
}
