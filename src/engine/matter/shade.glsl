// What matter looks like under the lights of the piece. All directions are the world's. Needs matter/brdf.glsl and what
// lights/program.ts puts together.
uniform vec4 uMaterial;   // metal, roughness, glow, film
uniform float uLap;       // phase, for what moves over a film

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
  vec3 light = lightOn(Surface(n, v, diffuse, f0, max(rough * rough, 0.003)));
  light += lightFrom(reflect(-v, n), rough) * reflected(f0, rough, nv) * (film > 0.0 ? mix(1.0, 2.4, film) : 1.0);
  light += lightFrom(n, 1.0) * diffuse * 0.5;
  light += base * uMaterial.z + film * f0 * fresnel * 0.5 * uSurround;
  // a film is seen by what it reflects
  if (film > 0.0) opaque = mix(1.0, clamp(0.06 + 0.9 * fresnel + 0.8 * dot(light, vec3(0.33)), 0.0, 1.0), film);
  return light;
}
