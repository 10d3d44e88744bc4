// Lines along what is a grid of elements of a tile, the beginning of which the end of the tile before it meets. Needs ink/strip.glsl.
uniform float uStrokeTile;  // strokes in a tile, a whole number

// where a place is, in strokes
vec3 strokesAt(vec3 p) { return vec3(p.xy * uLines[1].x, p.z * uStrokeTile / uTile); }

vec3 toView(vec3 p, int repetition) { return (uView * vec4(p - vec3(0.0, 0.0, float(repetition) * uTile), 1.0)).xyz; }

void gridLine(vec3 a, vec3 b, int repetition, ivec2 corner, float bulge) {
  vec3 v[2] = vec3[2](toView(a, repetition), toView(b, repetition));
  if (!beforeEye(v[0], v[1])) return;
  vec3 own[2] = vec3[2](strokesAt(a), strokesAt(b));
  drawStrip(v, own, ivec3(512, 512, int(uStrokeTile)), 0.0, vec2(corner), bulge);
}

#ifdef CONTOURS
// a corner of the cell, numbered row by row, and the unit normal there
void cornerOf(int k, out vec3 p, out vec3 n);

// Where a smooth surface is seen from its edge, within a triangle between three corners of a cell: whether it is, from where to where, and
// the radius of a ball that turns as fast
bool turnsWithin(ivec3 corners, int repetition, out vec3 a, out vec3 b, out float bulge) {
  vec3 p[3];
  vec3 n[3];
  float f[3];
  for (int i = 0; i < 3; i++) {
    cornerOf(corners[i], p[i], n[i]);
    f[i] = dot(mat3(uView) * n[i], toLens(toView(p[i], repetition)));
  }
  vec3 at[2] = vec3[2](p[0], p[0]);
  int found = 0;
  bulge = 0.0;
  for (int i = 0; i < 3; i++) {
    int j = (i + 1) % 3;
    if (f[i] >= 0.0 == f[j] >= 0.0 || found > 1) continue;
    at[found++] = mix(p[i], p[j], f[i] / (f[i] - f[j]));
    bulge = max(bulge, distance(p[i], p[j]) / max(distance(n[i], n[j]), 1e-3));
  }
  a = at[0];
  b = at[1];
  return found == 2;
}
#else

// Whether two faces meet in a crease that is drawn. Both are as long as they are large
bool folds(vec3 one, vec3 beyond) {
  float sizes = dot(one, one) * dot(beyond, beyond);
  return sizes > 1e-24 && drawsCreases(dot(one, beyond) * inversesqrt(sizes));
}

// Whether of two faces beside a line one is seen from before and one from behind. smooth_: the share by which they are one smooth surface,
// whose sides of the line face alike
bool turnsBetween(vec3 a, vec3 b, vec3 one, vec3 beyond, float smooth_, int repetition) {
  vec3 eye = transpose(mat3(uView)) * toLens(0.5 * (toView(a, repetition) + toView(b, repetition)));
  return drawsContours() && dot(one, one) * dot(beyond, beyond) > 1e-24 && dot(one + smooth_ * beyond, eye) * dot(beyond + smooth_ * one, eye) <= 0.0;
}
#endif
