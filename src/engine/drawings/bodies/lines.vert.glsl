// A line along an edge of a body, seen from this pass's own point of the lens at its own time. Needs element.glsl and ink/strip.glsl.
in vec3 aFrom;
in vec3 aTo;
in vec3 aFace;           // unit normals of the faces beside it
in vec3 aOther;
in vec3 aCorner;         // which end, which side, and the cosine by which the faces turn; -1 for a border

void main() {
  noStrip();
  Element e = elementAt(ivec2(aElement.x & 1023, aElement.x >> 10));
  vThere = e.look.a;
  vMark = e.mark.x;
  if (e.size <= 0.0 || vThere <= 0.0) return;
  vec3 v[2];
  vec3 n[2];
  for (int i = 0; i < 2; i++) {
    vec3 vertex = i == 0 ? aFrom : aTo;
    vec3 normal = i == 0 ? aFace : aOther;
    vec3 straight;
    vec3 position;
    v[i] = viewOf(e, vertex, normal, straight, position);
    n[i] = mat3(uView) * normal;
  }
  if (!beforeEye(v[0], v[1])) return;
  // which of its faces are seen from this point of the lens
  vec3 eye = toLens(0.5 * (v[0] + v[1]));
  float fold = aCorner.z;
  bool border = fold < -0.9995;
  bool contour = !border && dot(n[0], eye) * dot(n[1], eye) <= 0.0;
  if (!((border && drawsBorders()) || (contour && drawsContours()) || (!border && drawsCreases(fold)))) return;
  vec3 own[2] = vec3[2](aFrom * uLines[1].x, aTo * uLines[1].x);
  // a ball is as large as the body
  drawStrip(v, own, ivec3(512), e.mark.x, aCorner.xy, contour && fold > 0.9 ? e.size : 0.0);
}
