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

// what an edge adds of which what is below the horizon is cut off; it keeps where that is crossed downwards and upwards
float light_part(vec3 a, vec3 b, inout vec3 down, inout vec3 up) {
  if (a.z <= 0.0 && b.z <= 0.0) return 0.0;
  vec3 across = mix(a, b, a.z / (a.z - b.z + (a.z == b.z ? 1e-9 : 0.0)));
  if (a.z <= 0.0) up = a = across;
  if (b.z <= 0.0) down = b = across;
  return light_edge(normalize(a), normalize(b));
}

// the share of a cosine about z that four corners fill, what is below the horizon cut off
float light_share(vec3 a, vec3 b, vec3 c, vec3 d) {
  vec3 down = vec3(0.0);
  vec3 up = vec3(0.0);
  float sum = light_part(a, b, down, up) + light_part(b, c, down, up) + light_part(c, d, down, up) + light_part(d, a, down, up);
  // along the horizon, from where it went below to where it came up again
  if (dot(down, down) > 0.0 && dot(up, up) > 0.0) sum += light_edge(normalize(down), normalize(up));
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
  vec3 middle = own * to;
  vec3 aw = own * across;
  vec3 ah = own * upright;
  vec3 a = middle - aw - ah;
  vec3 b = middle + aw - ah;
  vec3 c = middle + aw + ah;
  vec3 d = middle - aw + ah;
  float matt = light_share(a, b, c, d);
  vec2 at = vec2(sqrt(s.alpha), sqrt(1.0 - nv)) * (LOBES_SIDE - 1.0) + 0.5;
  vec4 m = texture(uLobes, at / vec2(2.0 * LOBES_SIDE, LOBES_SIDE));
  vec2 size = texture(uLobes, (at + vec2(LOBES_SIDE, 0.0)) / vec2(2.0 * LOBES_SIDE, LOBES_SIDE)).xy;
  mat3 into = mat3(vec3(m.x, 0.0, m.y), vec3(0.0, 1.0, 0.0), vec3(m.z, 0.0, m.w));
  vec3 mirrored = s.f0 * size.x + (1.0 - s.f0) * size.y;
  vec3 given = s.diffuse * (1.0 - mirrored) * matt + mirrored * light_share(into * a, into * b, into * c, into * d);
  return given * light.colour * (light.strength * window(length(to), light.reach));
}
