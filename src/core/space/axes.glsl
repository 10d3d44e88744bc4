// @choice axis along up aside
// A cyclic change of coordinates that puts the chosen axis last: 0 keeps z, 1 takes y, 2 takes x.
vec3 toAxis(vec3 v, int axis) { return axis == AXIS_UP ? v.zxy : axis == AXIS_ASIDE ? v.yzx : v; }
vec3 fromAxis(vec3 v, int axis) { return axis == AXIS_UP ? v.yzx : axis == AXIS_ASIDE ? v.zxy : v; }

// a derivative given in the changed coordinates, brought back
mat3 axisMatrix(mat3 m, int axis) {
  vec3 a = fromAxis(m[0], axis);
  vec3 b = fromAxis(m[1], axis);
  vec3 c = fromAxis(m[2], axis);
  return axis == AXIS_UP ? mat3(b, c, a) : axis == AXIS_ASIDE ? mat3(c, a, b) : mat3(a, b, c);
}
