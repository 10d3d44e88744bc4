#ifdef MIRRORED
// what is around and near, mirrored in the direction d at a place: see mirror/mirrored.glsl
vec3 mirroredFrom(vec3 d, float rough, vec3 place);
#endif

// Light that a surface gives back, of all lights. n: unit normal towards the viewer; v: unit direction to the viewer; metal: how much
// of it is, of which f0 and diffuse are mixed; gloss: what is reflected of what is around is multiplied by; place: in the world;
// shaded: how far shadows fall on it. Needs matter/brdf.glsl and what lights/program.ts puts together.
vec3 shine(vec3 n, vec3 v, vec3 f0, vec3 diffuse, float metal, float rough, float gloss, vec3 place, float shaded) {
  float nv = clamp(dot(n, v), 0.0, 1.0);
  vec3 light = lightOn(Surface(n, v, diffuse, f0, max(rough * rough, 0.003), place, shaded));
  vec3 once = reflected(f0, rough, nv);
#ifdef MIRRORED
  light += mirroredFrom(reflect(-v, n), rough, place) * once * gloss;
#else
  light += lightFrom(reflect(-v, n), rough) * once * gloss;
#endif
  light += lightFrom(n, 1.0) * diffuse * 0.5;
#ifdef PANORAMAS
  // what of a panorama is mirrored once, what after several bounces, and what the matt part beneath gives back of the rest
  float all = reflected(vec3(1.0), rough, nv).x;
  vec3 dull = reflected(vec3(DULL), rough, nv);
  vec3 beneath = bounced(vec3(DULL), dull, all);
  vec3 bare = clamp((f0 - DULL * (1.0 - metal)) / max(metal, 1e-3), 0.0, 1.0);
  vec3 again = mix(beneath, bounced(bare, reflected(bare, rough, nv), all), metal);
#ifndef MIRRORED
  light += panoramaFrom(reflect(-v, n), rough) * once * gloss;
#endif
  light += panoramaEven(n) * (again * gloss + (1.0 - dull - beneath) * diffuse);
#endif
  return light;
}

#ifdef COATED
// The same of what a clear coat lies over: what that reflects, seen from where it is seen, does not reach what is beneath.
// coat: how far it is there; lacquer: its roughness
vec3 shineCoated(vec3 n, vec3 v, vec3 f0, vec3 diffuse, float metal, float rough, vec3 place, float shaded, float coat, float lacquer) {
  float nv = clamp(dot(n, v), 0.0, 1.0);
  vec3 dull = reflected(vec3(DULL), lacquer, nv);
  float above = coat * (dull + bounced(vec3(DULL), dull, reflected(vec3(1.0), lacquer, nv).x)).x;
  vec3 sum = vec3(0.0);
  // a loop, or the lights would be written out twice
  int layers = coat > 0.0 ? 2 : 1;
  for (int k = 0; k < layers; k++) {
    bool top = k == 1;
    vec3 one = shine(n, v, top ? vec3(DULL) : f0, top ? vec3(0.0) : diffuse, top ? 0.0 : metal, top ? lacquer : rough, 1.0, place, shaded);
    sum += one * (top ? coat : 1.0 - above);
  }
  return sum;
}
#endif
