// The whole language of the kernels in one function: run on the GPU and as TypeScript, the two must agree.
// @export conf
const vec3 KV = normalize(vec3(1.0, 2.0, -2.0));
const int KI = 3 << 2;
float twoWay(float x) { if (x > 0.5) return x * 2.0; else if (x < -0.5) { return -x; } return 0.25; }
vec2 twoWay(vec2 v) { return v.x > v.y ? normalize(v + 2.0) : vec2(length(v), twoWay(v.x)); }
void swapAdd(inout vec2 a, in float k, out float r) { a.xy = a.yx; a += k; r = a.x * a.y; a.y -= r; }
uint mixU(uint a, uint b) { a ^= b << 13u; a ^= a >> 17u; a *= 2654435769u; return a / 7u + (a % 1000u) - (b & 255u); }
void conf(uint id, out vec4 a, out vec4 b, out uvec4 c, out ivec4 d) {
  float x = float(int(id % 2001u) - 1000) * 0.005 + 0.0013;
  float y = float(int((id * 7919u) % 1999u) - 999) * 0.005 + 0.0007;
  vec4 v = vec4(x, y, vec2(x * y, x - y));
  a = v;
  a.wx = a.xw; a.yz *= a.zy; a.x += dot(v, v.wzyx);
  vec2 q = v.zw; float r; swapAdd(q, x, r); a.z += r + q.y;
  mat3 M = mat3(x, 1.0, y, 0.5, y, -1.0, 2.0, x, 0.25);
  mat3 R = M * transpose(M) + mat3(2.0);
  vec3 w = (v.xyz * R) + R * KV - M[1];
  M[2].xy = w.yx; M[0][1] += x;
  w += M * vec3(1.0, x, y);
  float acc = 0.0;
  for (int i = 0; i < 3; i++) acc += w[i] * float(i + 1);
  for (int i = 0; i < 40; i++) { if (float(i) > 20.0 + x) break; if ((i & 1) == 1) continue; acc += 0.01 * float(i); }
  b = vec4(acc, mix(x, y, 0.3), smoothstep(-1.0, 2.0, x), mod(x, 0.7));
  b.xy = b.xy + twoWay(b.yz + vec2(twoWay(x), 0.0));
  b.z += step(0.1, x) + sign(y) + fract(x * 3.0) + clamp(y, -0.5, 0.5) + pow(abs(x) + 0.1, 1.5) + exp(-abs(y)) + sqrt(abs(x)) + sin(x) * cos(y);
  b.w += x > 0.0 && twoWay(vec2(x, y)).x > 0.3 ? floor(y) : min(x, y) - max(x, 0.1);
  bvec3 gt = greaterThan(w, vec3(0.0));
  b.w += any(gt) ? 0.0 : 1.0;
  c = uvec4(mixU(id, 77u), mixU(id * 2654435769u, id), ~id + 5u, uint(y < 0.0 ? 3 : 9));
  c.zw = c.wz - uvec2(1u, 4000000000u); c.x = max(c.x, 3000000000u) - min(c.y, id);
  d = ivec4(int(id * 2654435769u) >> 5, int(x * 100.0) / 7, int(id) % 13 - KI, int(c.y >> 3u));
  d.xy += d.zw * 65537; d.w -= (d.x > d.y) ? 1 : d.z; d.z = -d.z; --d.x;
}
