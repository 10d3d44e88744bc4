// How a surface gives back light: by direction, and from all around.
const float PI_ = 3.14159265;

// what is lit: unit normal towards the viewer, unit direction to the viewer, how it gives back light, where it is in the world, and
// how far shadows fall on it
struct Surface { vec3 n; vec3 v; vec3 diffuse; vec3 f0; float alpha; vec3 place; float shaded; };

// light of a colour that comes from one direction, and is seen reflected as if it came from another, by a surface that wide a lobe:
// GGX with Smith's visibility (Walter et al., EGSR 2007; the joint form after Heitz, JCGT 3(2), 2014)
vec3 litFrom(Surface s, vec3 from, vec3 shine, float alpha, vec3 colour) {
  float nl = dot(s.n, from);
  if (nl <= 0.0) return vec3(0.0);
  float ns = max(dot(s.n, shine), 1e-4);
  vec3 h = normalize(s.v + shine);
  float nv = max(dot(s.n, s.v), 1e-3);
  float nh = max(dot(s.n, h), 0.0);
  float a2 = alpha * alpha;
  float k = nh * nh * (a2 - 1.0) + 1.0;
  // a wider lobe of as much light: narrower where the light is a point
  float narrow = s.alpha / alpha;
  float d = a2 * narrow * narrow / (PI_ * k * k);
  float g = 0.5 / (ns * sqrt(nv * nv * (1.0 - a2) + a2) + nv * sqrt(ns * ns * (1.0 - a2) + a2));
  float grazing = 1.0 - max(dot(s.v, h), 0.0);
  float grazing2 = grazing * grazing;
  vec3 f = s.f0 + (1.0 - s.f0) * (grazing2 * grazing2 * grazing);
  return (s.diffuse / PI_ * (1.0 - f) * nl + f * min(d * g, 10.0) * ns) * colour;
}

// the same of a ball of a radius, whose middle is away metres in a direction: what is reflected is the point of it that is nearest to
// the mirrored view, in a lobe so much wider (Karis, "Real Shading in Unreal Engine 4", SIGGRAPH course, 2013)
vec3 litByBall(Surface s, vec3 from, float away, float radius, vec3 colour) {
  vec3 mirrored = reflect(-s.v, s.n);
  vec3 off = dot(from, mirrored) * mirrored - from;
  vec3 shine = from + off * min(1.0, radius / (away * max(length(off), 1e-6)));
  return litFrom(s, from, radius > 0.0 ? normalize(shine) : from, min(1.0, s.alpha + 0.5 * radius / away), colour);
}

// 1 near, 0 from the end of its reach on, and hardly less than 1 up to half of it
float window(float away, float reach) {
  float far = away / max(reach, 1e-4);
  float left = max(0.0, 1.0 - far * far * far * far);
  return left * left;
}

// what is left of a light after so many metres: the inverse square, and no more than at its own surface
float fallOff(float away, float radius, float reach) {
  float near = max(away, max(radius, 0.01));
  return window(away, reach) / (near * near);
}

// share of the surroundings a surface reflects, after Karis' fit ("Physically Based Shading on Mobile", 2014)
vec3 reflected(vec3 f0, float rough, float nv) {
  vec4 r = rough * vec4(-1.0, -0.0275, -0.572, 0.022) + vec4(1.0, 0.0425, 1.04, -0.04);
  float a = min(r.x * r.x, exp2(-9.28 * nv)) * r.x + r.y;
  vec2 ab = vec2(-1.04, 1.04) * a + r.zw;
  return f0 * ab.x + ab.y;
}

// of what is no metal, looked at straight
const float DULL = 0.04;

// share of light from all around that leaves a surface after more than one bounce among its own unevenness (Fdez-Aguera, "A Multiple-
// Scattering Microfacet Model for Real-Time Image-based Lighting", JCGT 8(1), 2019). once: after one; all: that of a perfect mirror's
vec3 bounced(vec3 f0, vec3 once, float all) {
  vec3 mean = f0 + (1.0 - f0) / 21.0;
  return once * mean * (1.0 - all) / (1.0 - mean * (1.0 - all));
}
