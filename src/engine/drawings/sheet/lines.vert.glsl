// A line along a cell of a sheet, seen from this pass's own point of the lens: where it turns away from the lens, in each of its two
// triangles; along its left and near side; and along its right side where the sheet ends. Needs frame/view.glsl, cells.glsl,
// ink/strip.glsl and ink/grid.glsl.
in ivec2 aCell;          // a cell of the sheet, and the number of its repetition
in ivec3 aStrip;         // which line of the cell; which end and which side of it
uniform float uTime;

vec3 placeAt(ivec2 at) { return mix(openAt(at), shutAt(at), uTime); }

ivec2 cellOf() { return ivec2(aCell.x % uSheet.x, aCell.x / uSheet.x); }

#ifdef CONTOURS
void cornerOf(int k, out vec3 p, out vec3 n) {
  ivec2 at = cellOf() + ivec2(k % 2, k / 2);
  p = placeAt(at);
  n = normalAt(at);
}
#endif

void main() {
  noStrip();
  vThere = 1.0;
  vMark = 0.0;
  int kind = aStrip.x;
  ivec2 cell = cellOf();
  vec3 a;
  vec3 b;
  float bulge = 0.0;
#ifdef CONTOURS
  if (!drawsContours()) return;
  bool draws = turnsWithin(kind == 0 ? ivec3(0, 1, 3) : ivec3(0, 3, 2), aCell.y, a, b, bulge);
#else
  bool near_ = kind == 3;
  bool last = kind == 4;
  if (last && cell.x < uSheet.x - 1) return;
  bool border = last || (kind == 2 && cell.x == 0);
  ivec2 from = cell + ivec2(last, 0);
  a = placeAt(from);
  b = placeAt(from + (near_ ? ivec2(1, 0) : ivec2(0, 1)));
  bool draws = border || drawsAll()
    ? !border || drawsBorders()
    : folds(facingOf(cell, uTile), facingOf(cell - (near_ ? ivec2(0, 1) : ivec2(1, 0)), uTile));
#endif
  if (draws) gridLine(a, b, aCell.y, aStrip.yz, bulge);
}
