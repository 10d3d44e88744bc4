// How strongly a treatment acts at a place: 1 within the inner distance, 0 beyond the outer one, smooth between.
// @choice reachBy everywhere point plane route order noise cells
// @kernel reach reachWeight position order
// @include ../../noise/flow.glsl
// @include ../../noise/cells.glsl
// @include ../../space/route.glsl

// by: 1 distance from a point, 2 from a plane across the travel, 3 from the route, 4 order, 5 noise, 6 how near a cell's point; at: the point in
// metres; tile: metres after which distances along z repeat, 0 for never; inner, outer: metres (order: shares 0..1);
// invert: 1 acts outside instead. slope: derivative of the weight to the position, per metre.
void reachWeight(vec3 position, float order, int by, vec3 at, float tile, float inner, float outer, int invert,
                 vec3 noiseScale, ivec3 noisePeriod, uint seed, int cycles, vec4 course, sampler2D track, float lap,
                 out float weight, out vec3 slope) {
  vec3 away = position - at;
  if (tile > 0.0) away.z -= tile * floor(away.z / tile + 0.5);
  float d = order;
  vec3 toward = vec3(0.0);
  if (by == REACH_BY_POINT) {
    d = length(away);
    toward = away / max(d, 1e-6);
  }
  if (by == REACH_BY_PLANE) {
    d = abs(away.z);
    toward = vec3(0.0, 0.0, away.z < 0.0 ? -1.0 : 1.0);
  }
  if (by == REACH_BY_ROUTE && course.z > 0.0) {
    float round_;
    vec3 off = fromTrack(position, course, track, int(course.z), round_);
    d = length(off);
    toward = off / max(d, 1e-6);
  }
  if (by == REACH_BY_ROUTE && course.z == 0.0) {
    float turn = -position.z * course.y;
    vec2 out_ = position.xy - vec2(cosTurn(turn), sinTurn(turn)) * course.x;
    d = length(out_);
    float steep = TAU * course.y * course.x;
    vec2 toward2 = out_ / max(d, 1e-6);
    toward = vec3(toward2, (toward2.y * cosTurn(turn) - toward2.x * sinTurn(turn)) * steep);
  }
  if (by == REACH_BY_NOISE) {
    vec3 grad;
    float n = flowNoise(position * noiseScale, noisePeriod, seed, lap, cycles, grad);
    d = 0.5 + 0.7 * n;
    toward = grad * noiseScale * 0.7;
  }
  vec3 first;
  vec3 second;
  float own = cellNoise(position * noiseScale, noisePeriod, seed, lap, cycles, by == REACH_BY_CELLS ? CELLS_ALL : CELLS_NONE, first, second);
  if (by == REACH_BY_CELLS) {
    d = length(first);
    toward = first * noiseScale / max(d, 1e-6);
  }
  float width = max(outer - inner, 1e-4);
  float t = clamp((d - inner) / width, 0.0, 1.0);
  weight = 1.0 - t * t * (3.0 - 2.0 * t);
  slope = toward * (-6.0 * t * (1.0 - t) / width);
  if (invert == 1) {
    weight = 1.0 - weight;
    slope = -slope;
  }
}
