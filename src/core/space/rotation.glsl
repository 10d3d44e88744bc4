// Rotations as unit quaternions: x, y, z, w.
// @export rotateBy
// @export quatTimes
// @export quatAbout
// @include ../noise/turn.glsl

vec3 rotateBy(vec4 q, vec3 v) {
  vec3 t = cross(q.xyz, v) * 2.0;
  return v + t * q.w + cross(q.xyz, t);
}

// the rotation that does b first, then a
vec4 quatTimes(vec4 a, vec4 b) {
  return vec4(b.xyz * a.w + a.xyz * b.w + cross(a.xyz, b.xyz), a.w * b.w - dot(a.xyz, b.xyz));
}

// about a unit axis by an angle in turns
vec4 quatAbout(vec3 axis, float turns) {
  return vec4(axis * sinTurn(turns * 0.5), cosTurn(turns * 0.5));
}

// a unit vector, evenly over the sphere, from two numbers 0..1
vec3 sphereDirection(float u, float v) {
  float z = u * 2.0 - 1.0;
  float ring = sqrt(max(0.0, 1.0 - z * z));
  return vec3(cosTurn(v) * ring, sinTurn(v) * ring, z);
}
