// Space turned more and more along an axis.
// @kernel twist twistSpace p weight
// @include ../../noise/turn.glsl
// @include ../../space/axes.glsl

// amount: turns over the whole length; axis: 0 along the travel, 1 upright, 2 aside; middle: where it is untouched, metres;
// length_: metres; tiled: 1 goes on through the next tile, 0 stops at both ends.
// q: where p comes to; jacobian: derivative of q to p; byAmount: derivative of q to the weight.
void twistSpace(vec3 p, float weight, float amount, int axis, vec3 middle, float length_, int tiled, out vec3 q,
                out mat3 jacobian, out vec3 byWeight) {
  vec3 v = toAxis(p - middle, axis);
  float u = v.z / length_;
  float inside = tiled == 1 || abs(u) <= 0.5 ? 1.0 : 0.0;
  float t = tiled == 1 ? u : clamp(u, -0.5, 0.5);
  float turn = amount * weight * t;
  float c = cosTurn(turn);
  float s = sinTurn(turn);
  vec2 flat_ = vec2(v.x * c - v.y * s, v.x * s + v.y * c);
  vec2 along = vec2(-flat_.y, flat_.x) * TAU;
  vec2 byZ = along * (amount * weight * inside / length_);
  q = fromAxis(vec3(flat_, v.z), axis) + middle;
  jacobian = axisMatrix(mat3(c, s, 0.0, -s, c, 0.0, byZ, 1.0), axis);
  byWeight = fromAxis(vec3(along * (amount * t), 0.0), axis);
}
