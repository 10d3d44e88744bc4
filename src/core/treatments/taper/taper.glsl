// Space narrowed or widened along an axis.
// @kernel taper taperSpace p weight
// @include ../../noise/turn.glsl
// @include ../../space/axes.glsl

// amount: -1 comes to a point at the far end, 0 untouched, 1 twice as wide there; tiled: waists whole per tile, narrowest
// or widest in its middle.
void taperSpace(vec3 p, float weight, float amount, int axis, vec3 middle, float length_, int waists, int tiled, out vec3 q,
                out mat3 jacobian, out vec3 byWeight) {
  vec3 v = toAxis(p - middle, axis);
  float t = v.z / length_;
  float f;
  float slope;
  if (tiled == 1) {
    f = 0.5 + 0.5 * cosTurn(t * float(waists));
    slope = -0.5 * sinTurn(t * float(waists)) * TAU * float(waists) / length_;
  } else {
    // travel runs along -z, so the far end of an axis 0 layer has the least z
    float way = axis == AXIS_ALONG ? -1.0 : 1.0;
    f = clamp(0.5 + t * way, 0.0, 1.0);
    slope = abs(t) < 0.5 ? way / length_ : 0.0;
  }
  float wide = 1.0 + amount * weight * f;
  q = fromAxis(vec3(v.xy * wide, v.z), axis) + middle;
  jacobian = axisMatrix(mat3(wide, 0.0, 0.0, 0.0, wide, 0.0, v.xy * (amount * weight * slope), 1.0), axis);
  byWeight = fromAxis(vec3(v.xy * (amount * f), 0.0), axis);
}
