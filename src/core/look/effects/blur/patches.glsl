// Where a picture is drawn out, of an uneven blur.
// @export patchShare
// @include ../../../noise/flow.glsl

// The share of its length, 0..1. at: place, in shares of the shorter side; patch_: about as large are its patches, in the same; uneven: 0 for
// all of it everywhere, 1 for patches of none and of all; lap: time in laps; cycles: most whole cycles a lap.
float patchShare(vec2 at, float patch_, float uneven, float lap, int cycles, uint seed) {
  if (uneven <= 0.0) return 1.0;
  vec3 grad;
  float n = flowNoise(vec3(at / max(patch_, 1e-3), 0.37), ivec3(4096), seed, lap, cycles, grad);
  return 1.0 - uneven * (1.0 - smoothstep(-0.3, 0.3, n));
}
