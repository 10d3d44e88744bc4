// a faint glow of its own, a lamp at the eye, and a sheen where it is seen from its edge
Matter matterOf(Body b) {
  vec3 off = b.place + transpose(mat3(uView)) * uView[3].xyz;
  float facing = abs(dot(b.n, b.v));
  float lamp = facing / (1.0 + dot(off, off) * 0.06);
  float sheen = pow(max(1.0 - facing, 0.0), 5.0) * 0.35;
  return Matter(b.base * (0.06 + 0.4 * lamp + sheen), 1.0, 0.0, b.glow, 1.0);
}
