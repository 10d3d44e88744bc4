// Elements carried by moving air: the curl of three noises, which neither gathers nor thins them out.
// @kernel drift driftElement weight
// @include ../../noise/moment.glsl

// amount: metres, about the farthest most are carried; scale: lattice units per metre; period: lattice units after which
// the air repeats; cycles: most whole cycles per lap; octaves: 1..5, each half as large and half as strong, and an offset of its own;
// lap: time in laps; air: a table of the moment for the first `airOctaves`, and the window it is of (noise/moment.glsl).
void driftElement(float weight, uint seed, float amount, vec3 scale, ivec3 period, int cycles, int octaves, float lap,
                  sampler2D air, ivec3 airFrom, ivec3 airSize, int airOctaves, inout vec3 position) {
  float much = amount * weight * 0.39;
  if (much == 0.0) return;
  vec3 q = position * scale;
  vec3 carried = vec3(0.0);
  int start = 0;
  for (int i = 0; i < 5; i++) {
    if (i >= octaves) break;
    int times = 1 << i;
    // each octave is offset by a constant of its own, or lattice points would never move
    vec3 at = q * float(times) + fract(float(i) * 0.37);
    ivec3 first;
    ivec3 many;
    windowOf(airFrom, airSize, i, airOctaves, first, many);
    vec3 swirl = curlAt(at, period * times, seed + 11u + 3u * uint(i), lap, cycles, air, start, first, many);
    start += 3 * verticesOf(many);
    carried += swirl / float(times);
  }
  position += carried * much;
}
