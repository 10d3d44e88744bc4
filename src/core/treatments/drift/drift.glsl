// Elements carried by moving air: gathered along the gradients of noises, then carried by the curl of three others, which neither
// gathers nor thins them out.
// @choice driftInto no threads veils clumps
// @kernel drift driftElement weight
// @include ../../noise/moment.glsl

// What carries a place to where it gathers, in two steps; both in lattice units of the noises it gathers by.
// Threads are where two noises are 0, veils where one is: damped steps of Gauss and Newton lead there, the shortest way
// (Levenberg 1944; a step is no longer than GATHER_STEP). Clumps are where one noise is great: steps along its gradient, as short as keeps
// most places from overtaking one another (Zel'dovich 1970).
const float GATHER_STEP = 0.4;
const float GATHER_DAMPING = 0.3;
const float GATHER_CLIMB = 0.08;
vec3 gathered(vec3 p, int into, uint seed, ivec3 period, int cycles, float lap, sampler2D pull, ivec3 first, ivec3 many) {
  vec3 q = p;
  int steps = into == DRIFT_INTO_NO ? 0 : 2;
  for (int k = 0; k < steps; k++) {
    vec3 a;
    vec3 b;
    vec3 unused;
    vec2 value = flowsAt(q, period, seed, lap, cycles, 2, pull, 0, first, many, a, b, unused);
    b = into == DRIFT_INTO_THREADS ? b : vec3(0.0);
    float aa = dot(a, a) + GATHER_DAMPING;
    float bb = dot(b, b) + GATHER_DAMPING;
    float ab = dot(a, b);
    vec3 onto = (a * (value.y * ab - value.x * bb) + b * (value.x * ab - value.y * aa)) / (aa * bb - ab * ab);
    vec3 way = into == DRIFT_INTO_CLUMPS ? a * GATHER_CLIMB : onto;
    q += way * (GATHER_STEP / max(GATHER_STEP, length(way)));
  }
  return q - p;
}

// amount: metres, about the farthest most are carried; scale: lattice units per metre; period: lattice units after which
// the air repeats; cycles: most whole cycles per lap; octaves: 1..5, each half as large and half as strong, and an offset of its own;
// lap: time in laps; air: a table of the moment for the first `airOctaves`, and the window it is of (noise/moment.glsl).
// into: what they gather into; gather: how far, -1..1; pull…: as for the air, of the noises they gather by, of one octave.
void driftElement(float weight, uint seed, float amount, vec3 scale, ivec3 period, int cycles, int octaves, float lap,
                  sampler2D air, ivec3 airFrom, ivec3 airSize, int airOctaves, int into, float gather, vec3 pullScale,
                  ivec3 pullPeriod, int pullCycles, float pullLap, sampler2D pull, ivec3 pullFrom, ivec3 pullSize,
                  int pullOctaves, inout vec3 position) {
  ivec3 pullFirst;
  ivec3 pullMany;
  windowOf(pullFrom, pullSize, 0, pullOctaves, pullFirst, pullMany);
  vec3 towards = gathered(position * pullScale, into, seed + 31u, pullPeriod, pullCycles, pullLap, pull, pullFirst, pullMany);
  position += towards / pullScale * (gather * weight);
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
