// Reflectance of a soap film in air: two beams, the second longer by 2 n d cos t and half a wave behind
// (any optics textbook; n = 1.33, thickness in nanometres, wavelengths 650, 532 and 450).
vec3 filmColour(float cosine, float thickness) {
  float inside = sqrt(1.0 - (1.0 - cosine * cosine) / (1.33 * 1.33));
  vec3 waves = 2.0 * 1.33 * thickness * inside / vec3(650.0, 532.0, 450.0);
  return 0.5 - 0.5 * cos(2.0 * PI_ * waves);
}

Matter matterOf(Body b) {
  float metal = uMaterial[0].x;
  float film = uMaterial[0].w;
  float nv = clamp(dot(b.n, b.v), 0.0, 1.0);
  vec3 f0 = mix(vec3(0.04), b.base, metal);
  float fresnel = pow(1.0 - nv, 3.0);
  float turn = 2.0 * PI_ * uLap;
  float stream = sin(b.own.y * 5.0 + 1.7 * sin(b.own.x * 3.0 + turn + b.mark) + 0.8 * cos(b.own.z * 4.0 - turn))
               + 0.5 * sin(b.own.x * 7.0 - b.own.z * 6.0 + 2.0 * turn + b.mark * 2.3);
  // thinner at the top, where the water has run down
  vec3 hue = filmColour(nv, 330.0 - 130.0 * b.own.y + 75.0 * stream + 40.0 * sin(b.mark));
  f0 = mix(f0, hue * mix(vec3(1.0), b.base, 0.35) * (0.25 + 0.75 * fresnel), film);
  vec3 light = shine(b.n, b.v, f0, b.base * (1.0 - metal) * (1.0 - film), metal, uMaterial[0].y, mix(1.0, 2.4, film), b.place, 2.0 - uTakes);
  light += b.base * uMaterial[0].z + film * f0 * fresnel * 0.5 * uSurround;
  // a film is seen by what it reflects
  float opaque = mix(1.0, clamp(0.06 + 0.9 * fresnel + 0.8 * dot(light, vec3(0.33)), 0.0, 1.0), film);
  return Matter(light, 0.0, 0.0, 0.0, opaque);
}
