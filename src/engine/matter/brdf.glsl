// How a surface gives back light: by direction, and from all around.
const float PI_ = 3.14159265;

// what is lit: unit normal towards the viewer, unit direction to the viewer, and how it gives back light
struct Surface { vec3 n; vec3 v; vec3 diffuse; vec3 f0; float alpha; };

// light of a colour from one direction; GGX with Smith's visibility (Walter et al., EGSR 2007; the joint form after Heitz,
// JCGT 3(2), 2014)
vec3 lit(Surface s, vec3 from, vec3 colour) {
  float nl = dot(s.n, from);
  if (nl <= 0.0) return vec3(0.0);
  vec3 h = normalize(s.v + from);
  float nv = max(dot(s.n, s.v), 1e-3);
  float nh = max(dot(s.n, h), 0.0);
  float a2 = s.alpha * s.alpha;
  float k = nh * nh * (a2 - 1.0) + 1.0;
  float d = a2 / (PI_ * k * k);
  float g = 0.5 / (nl * sqrt(nv * nv * (1.0 - a2) + a2) + nv * sqrt(nl * nl * (1.0 - a2) + a2));
  float grazing = 1.0 - max(dot(s.v, h), 0.0);
  float grazing2 = grazing * grazing;
  vec3 f = s.f0 + (1.0 - s.f0) * (grazing2 * grazing2 * grazing);
  return (s.diffuse / PI_ * (1.0 - f) + f * min(d * g, 10.0)) * colour * nl;
}

// share of the surroundings a surface reflects, after Karis' fit ("Physically Based Shading on Mobile", 2014)
vec3 reflected(vec3 f0, float rough, float nv) {
  vec4 r = rough * vec4(-1.0, -0.0275, -0.572, 0.022) + vec4(1.0, 0.0425, 1.04, -0.04);
  float a = min(r.x * r.x, exp2(-9.28 * nv)) * r.x + r.y;
  vec2 ab = vec2(-1.04, 1.04) * a + r.zw;
  return f0 * ab.x + ab.y;
}
