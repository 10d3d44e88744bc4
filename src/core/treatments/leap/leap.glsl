// Elements that jump, on whole frames, from far to near into their places, and out of them again.
// @kernel leap leapElement key order weight
// @include ../../random/hash.glsl
// @include ../../time/frameInLap.glsl

// amount: 0 untouched .. 1 all of it; frame: whole, of a lap of `frames`; begins: the frame on which the first one is there; lasts: frames that each is there; every_:
// frames between two jumps; steps: jumps from where it is first to its place; wait: frames from the first one's turn to the last
// one's; spread: metres to each side, most, at first; away: metres from its place at first; grown: how many times as large.
void leapElement(uint key, float order, float weight, uint seed, float amount, int frame, int frames, int begins, int lasts, int every_,
                 int steps, int wait, vec3 spread, vec3 away, float grown, inout vec3 position, inout float size, inout float fade) {
  int since = frameInLap(frame - begins - int(floor(order * float(wait) + 0.5)), frames);
  int rest_ = lasts - 1 - since;
  int done = max(0, min(steps, min(since / every_, rest_ / every_)));
  float much = amount * weight;
  float far = much * float(steps - done) / float(steps);
  uvec4 h = pcg4d(uvec4(key, seed, 67u, uint(done)));
  position += ((vec3(unit(h.x), unit(h.y), unit(h.z)) * 2.0 - 1.0) * spread + away) * far;
  size *= 1.0 + (grown - 1.0) * far;
  fade *= since < lasts ? 1.0 : 1.0 - much;
}
