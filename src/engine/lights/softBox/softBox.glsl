// a: half sides in metres; strength: its radiance
uniform sampler2D uLobes;   // the lobe as a transformed cosine: see lobes.ts

// what an edge adds to the share of a cosine that a polygon fills, by its ends' directions: their angle over its sine by a fit (Hill &
// Heitz, "Real-Time Area Lighting: a Journey from Research to Production", SIGGRAPH course, 2016), and over 2 pi
float light_edge(vec3 a, vec3 b) {
  float x = dot(a, b);
  float y = abs(x);
  float v = (0.8543985 + (0.4965155 + 0.0145206 * y) * y) / (3.4175940 + (4.1616724 + y) * y);
  float wide = x > 0.0 ? v : 0.5 * inversesqrt(max(1.0 - x * x, 1e-7)) - v;
  return (a.x * b.y - a.y * b.x) * wide;
}

// the share of a cosine about z that four corners fill, what is below the horizon cut off
float light_share(vec3 corners[4]) {
  float sum = 0.0;
  vec3 out_ = vec3(0.0);
  vec3 back = vec3(0.0);
  for (int i = 0; i < 4; i++) {
    vec3 a = corners[i];
    vec3 b = corners[(i + 1) & 3];
    if (a.z <= 0.0 && b.z <= 0.0) continue;
    vec3 across = mix(a, b, a.z / (a.z - b.z + (a.z == b.z ? 1e-9 : 0.0)));
    if (a.z <= 0.0) back = a = across;
    if (b.z <= 0.0) out_ = b = across;
    sum += light_edge(normalize(a), normalize(b));
  }
  // along the horizon, from where it went below to where it came up again
  if (dot(out_, out_) > 0.0 && dot(back, back) > 0.0) sum += light_edge(normalize(out_), normalize(back));
  return abs(sum);
}

vec3 light_on(Light light, Surface s) {
  vec3 up = cross(light.from, light.side);
  vec3 to = light.place - s.place;
  // it shines one way: behind it is dark
  if (dot(to, light.from) <= 1e-4) return vec3(0.0);
  vec3 across = light.side * light.a.x;
  vec3 upright = up * light.a.y;
  float nv = clamp(dot(s.n, s.v), 0.0, 1.0);
  vec3 aside = s.v - s.n * nv;
  // seen from straight before, any way across will do
  vec3 t = length(aside) > 1e-4 ? normalize(aside) : normalize(cross(s.n, abs(s.n.y) < 0.9 ? vec3(0.0, 1.0, 0.0) : vec3(1.0, 0.0, 0.0)));
  mat3 own = transpose(mat3(t, cross(s.n, t), s.n));
  vec3 corners[4] = vec3[4](own * (to - across - upright), own * (to + across - upright), own * (to + across + upright), own * (to - across + upright));
  float matt = light_share(corners);
  vec2 at = vec2(sqrt(s.alpha), sqrt(1.0 - nv)) * (LOBES_SIDE - 1.0) + 0.5;
  vec4 m = texture(uLobes, at / vec2(2.0 * LOBES_SIDE, LOBES_SIDE));
  vec2 size = texture(uLobes, (at + vec2(LOBES_SIDE, 0.0)) / vec2(2.0 * LOBES_SIDE, LOBES_SIDE)).xy;
  mat3 into = mat3(vec3(m.x, 0.0, m.y), vec3(0.0, 1.0, 0.0), vec3(m.z, 0.0, m.w));
  for (int i = 0; i < 4; i++) corners[i] = into * corners[i];
  vec3 mirrored = s.f0 * size.x + (1.0 - s.f0) * size.y;
  vec3 given = s.diffuse * (1.0 - mirrored) * matt + mirrored * light_share(corners);
  return given * light.colour * (light.strength * window(length(to), light.reach));
}
