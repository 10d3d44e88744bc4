// What a body looks like under the piece's default lights: a warm key from the right behind the camera, a cool fill from
// the left, a rim from behind, and three soft boxes and the sky around that polished things reflect. All directions are the
// world's. Needs drawings/dome/sky.glsl.
uniform vec4 uMaterial;   // metal, roughness, glow, film
uniform vec3 uKey;
uniform vec3 uFill;
uniform vec3 uRim;
uniform float uSurround;  // brightness of the soft boxes
uniform float uLap;       // phase, for what moves over a film

const float PI_ = 3.14159265;
const vec3 KEY_FROM = vec3(0.78, 0.50, 0.376);
const vec3 FILL_FROM = vec3(-0.86, 0.12, 0.49);
const vec3 RIM_FROM = vec3(-0.25, 0.55, -0.80);

// a rectangle of light far away in direction `at`, with edges as soft as the surface is rough
float softBox(vec3 d, vec3 at, vec3 side, vec2 half_, float soft) {
  float ahead = dot(d, at);
  if (ahead <= 0.02) return 0.0;
  vec3 up = cross(at, side);
  vec2 p = abs(vec2(dot(d, side), dot(d, up)) / ahead);
  vec2 inside = smoothstep(half_ + soft, half_ - soft, p);
  return inside.x * inside.y * min(1.0, (half_.x * half_.y) / ((half_.x + soft) * (half_.y + soft)) + 0.15);
}

vec3 surroundings(vec3 d, float rough) {
  float soft = 0.04 + 1.2 * rough;
  float top = softBox(d, vec3(0.0, 1.0, 0.0), vec3(1.0, 0.0, 0.0), vec2(1.1, 0.55), soft);
  float right = softBox(d, vec3(0.958, 0.287, 0.0), vec3(0.0, 0.0, 1.0), vec2(0.22, 0.85), soft);
  float left = softBox(d, vec3(-0.97, 0.0, 0.243), vec3(0.243, 0.0, 0.97), vec2(0.12, 0.9), soft);
  float ground = 0.012 + 0.03 * smoothstep(-0.2, 1.0, d.y);
  // what is rough sees a wide patch of the sky: its direction drawn towards upright
  vec3 sky = uSky.x > 0.0 ? skyColour(normalize(mix(d, vec3(0.0, 1.0, 0.0), 0.35 * rough))) : vec3(0.0);
  return uSurround * (vec3(1.0, 0.97, 0.92) * (1.5 * top) + uKey * (0.5 * right) + uFill * (0.9 * left) + ground) + sky;
}

// GGX with Smith's visibility (Walter et al., EGSR 2007; the joint form after Heitz, JCGT 3(2), 2014)
vec3 lit(vec3 n, vec3 v, vec3 from, vec3 colour, vec3 diffuse, vec3 f0, float alpha) {
  float nl = dot(n, from);
  if (nl <= 0.0) return vec3(0.0);
  vec3 h = normalize(v + from);
  float nv = max(dot(n, v), 1e-3);
  float nh = max(dot(n, h), 0.0);
  float a2 = alpha * alpha;
  float k = nh * nh * (a2 - 1.0) + 1.0;
  float d = a2 / (PI_ * k * k);
  float g = 0.5 / (nl * sqrt(nv * nv * (1.0 - a2) + a2) + nv * sqrt(nl * nl * (1.0 - a2) + a2));
  vec3 f = f0 + (1.0 - f0) * pow(1.0 - max(dot(v, h), 0.0), 5.0);
  return (diffuse / PI_ * (1.0 - f) + f * min(d * g, 10.0)) * colour * nl;
}

// share of the surroundings a surface reflects, after Karis' fit ("Physically Based Shading on Mobile", 2014)
vec3 reflected(vec3 f0, float rough, float nv) {
  vec4 r = rough * vec4(-1.0, -0.0275, -0.572, 0.022) + vec4(1.0, 0.0425, 1.04, -0.04);
  float a = min(r.x * r.x, exp2(-9.28 * nv)) * r.x + r.y;
  vec2 ab = vec2(-1.04, 1.04) * a + r.zw;
  return f0 * ab.x + ab.y;
}

// Reflectance of a soap film in air: two beams, the second longer by 2 n d cos t and half a wave behind
// (any optics textbook; n = 1.33, thickness in nanometres, wavelengths 650, 532 and 450).
vec3 filmColour(float cosine, float thickness) {
  float inside = sqrt(1.0 - (1.0 - cosine * cosine) / (1.33 * 1.33));
  vec3 waves = 2.0 * 1.33 * thickness * inside / vec3(650.0, 532.0, 450.0);
  return 0.5 - 0.5 * cos(2.0 * PI_ * waves);
}

// n: unit normal towards the viewer; v: unit direction to the viewer; own: place on the body, for the film's streams
vec3 shade(vec3 n, vec3 v, vec3 base, vec3 own, float mark, out float opaque) {
  float metal = uMaterial.x;
  float rough = uMaterial.y;
  float film = uMaterial.w;
  float nv = clamp(dot(n, v), 0.0, 1.0);
  vec3 f0 = mix(vec3(0.04), base, metal);
  vec3 diffuse = base * (1.0 - metal) * (1.0 - film);
  float fresnel = pow(1.0 - nv, 3.0);
  opaque = 1.0;
  if (film > 0.0) {
    float turn = 2.0 * PI_ * uLap;
    float stream = sin(own.y * 5.0 + 1.7 * sin(own.x * 3.0 + turn + mark) + 0.8 * cos(own.z * 4.0 - turn))
                 + 0.5 * sin(own.x * 7.0 - own.z * 6.0 + 2.0 * turn + mark * 2.3);
    // thinner at the top, where the water has run down
    vec3 hue = filmColour(nv, 330.0 - 130.0 * own.y + 75.0 * stream + 40.0 * sin(mark));
    f0 = mix(f0, hue * mix(vec3(1.0), base, 0.35) * (0.25 + 0.75 * fresnel), film);
  }
  float alpha = max(rough * rough, 0.003);
  vec3 light = lit(n, v, KEY_FROM, uKey * 2.6, diffuse, f0, alpha) + lit(n, v, FILL_FROM, uFill * 0.9, diffuse, f0, alpha)
             + lit(n, v, RIM_FROM, uRim * 2.2, diffuse, f0, alpha);
  light += surroundings(reflect(-v, n), rough) * reflected(f0, rough, nv) * (film > 0.0 ? mix(1.0, 2.4, film) : 1.0);
  light += surroundings(n, 1.0) * diffuse * 0.5;
  light += base * uMaterial.z + film * f0 * fresnel * 0.5 * uSurround;
  // a film is seen by what it reflects
  if (film > 0.0) opaque = mix(1.0, clamp(0.06 + 0.9 * fresnel + 0.8 * dot(light, vec3(0.33)), 0.0, 1.0), film);
  return light;
}
