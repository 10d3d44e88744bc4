// Rotations as unit quaternions: x, y, z, w.
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

// the rotation that turns x, y and z into three unit vectors at right angles (Shepperd, J. Guidance and Control 1(3), 1978)
vec4 quatFrom(vec3 x, vec3 y, vec3 z) {
  float trace = x.x + y.y + z.z;
  vec4 q = vec4(y.z - z.y, z.x - x.z, x.y - y.x, 1.0 + trace);
  if (trace < 0.0) {
    if (x.x > y.y && x.x > z.z) q = vec4(1.0 + x.x - y.y - z.z, x.y + y.x, z.x + x.z, y.z - z.y);
    else if (y.y > z.z) q = vec4(x.y + y.x, 1.0 + y.y - z.z - x.x, y.z + z.y, z.x - x.z);
    else q = vec4(z.x + x.z, y.z + z.y, 1.0 + z.z - x.x - y.y, x.y - y.x);
  }
  return q * inversesqrt(dot(q, q));
}
