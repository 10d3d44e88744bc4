// Light that a surface gives back, of all lights. n: unit normal towards the viewer; v: unit direction to the viewer; gloss:
// what is reflected of what is around is multiplied by; place: in the world; shaded: how far shadows fall on it. Needs
// matter/brdf.glsl and what lights/program.ts puts together.
vec3 shine(vec3 n, vec3 v, vec3 f0, vec3 diffuse, float rough, float gloss, vec3 place, float shaded) {
  float nv = clamp(dot(n, v), 0.0, 1.0);
  vec3 light = lightOn(Surface(n, v, diffuse, f0, max(rough * rough, 0.003), place, shaded));
  light += lightFrom(reflect(-v, n), rough) * reflected(f0, rough, nv) * gloss;
  light += lightFrom(n, 1.0) * diffuse * 0.5;
  return light;
}
