// Needs core/matter/film/optics.glsl and core/matter/pattern/pattern.glsl.
const float WATER = 1.33;

Matter matterOf(Body b) {
  float metal = uMaterial[0].x;
  float film = uMaterial[0].w;
  float nv = clamp(dot(b.n, b.v), 0.0, 1.0);
  vec3 f0 = mix(vec3(0.04), b.base, metal);
  float fresnel = pow(1.0 - nv, 3.0);
  // every body has streaks of its own
  uvec4 h = pcg4d(uvec4(uint(b.mark), 3u, 5u, 77u));
  vec3 at = b.own * vec3(1.6, 0.8, 1.6) * uMaterial[1].w + vec3(unit(h.x), unit(h.y), unit(h.z)) * 61.0 + vec3(0.0, uMaterial[2].z, 0.0);
  vec3 slope;
  float streak = flowPattern(at, ivec3(512, STREAKS_RUN, 512), 5u, uMaterial[2].y, int(uMaterial[2].x), 2, slope);
  // thinner at the top, where the water has run down
  float thick = uMaterial[1].x - uMaterial[1].y * b.own.y + 2.0 * uMaterial[1].z * (streak - 0.5) + 80.0 * (unit(h.w) - 0.5);
  vec3 hue = filmColour(nv, max(0.0, thick), WATER);
  f0 = mix(f0, hue * mix(vec3(1.0), b.base, 0.35) * (0.25 + 0.75 * fresnel), film);
  vec3 light = shine(b.n, b.v, f0, b.base * (1.0 - metal) * (1.0 - film), metal, b.rough, mix(1.0, 2.4, film), b.place, 2.0 - uTakes);
  light += b.base * b.glow + film * f0 * fresnel * 0.5 * uSurround;
  // a film is seen by what it reflects
  float opaque = mix(1.0, clamp(0.06 + 0.9 * fresnel + 0.8 * dot(light, vec3(0.33)), 0.0, 1.0), film);
  return Matter(light, 0.0, 0.0, 0.0, opaque);
}
