// Addressed randomness (laws: every random number is a hash of its address, never drawn from a sequence).
// pcg4d: Jarzynski & Olano, "Hash Functions for GPU Rendering", JCGT 9(3), 2020.
// @export pcg4d

uvec4 pcg4d(uvec4 v) {
  v = v * 1664525u + 1013904223u;
  v.x += v.y * v.w; v.y += v.z * v.x; v.z += v.x * v.y; v.w += v.y * v.z;
  v ^= v >> 16u;
  v.x += v.y * v.w; v.y += v.z * v.x; v.z += v.x * v.y; v.w += v.y * v.z;
  return v;
}

// upper 24 bits to [0,1): exact in float32, so GPU and CPU agree bit for bit
float unit(uint h) { return float(h >> 8u) * (1.0 / 16777216.0); }
