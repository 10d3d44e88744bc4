// A wave running through space.
// @kernel wave waveSpace p weight
// @include ../../noise/turn.glsl

// amount: metres of swing; direction: unit vector it swings along; by: unit vector it runs along, or zero for rings around
// the route; waves: per metre; beats: whole per lap, the sign is the way it runs.
void waveSpace(vec3 p, float weight, float amount, vec3 direction, vec3 by, float waves, int beats, vec3 middle, float lap,
               out vec3 q, out mat3 jacobian, out vec3 byWeight) {
  vec3 v = p - middle;
  float far = length(v.xz);
  bool rings = dot(by, by) < 0.5;
  float along = rings ? far : dot(v, by);
  vec3 grad = rings ? vec3(v.x, 0.0, v.z) / max(far, 1e-6) : by;
  float phase = along * waves - fract(lap * float(beats));
  float s = sinTurn(phase);
  vec3 swing = direction * amount;
  q = p + swing * (weight * s);
  vec3 dn = swing * (weight * cosTurn(phase) * TAU * waves);
  jacobian = mat3(vec3(1.0, 0.0, 0.0) + dn * grad.x, vec3(0.0, 1.0, 0.0) + dn * grad.y, vec3(0.0, 0.0, 1.0) + dn * grad.z);
  byWeight = swing * s;
}
