// One point of a net, about the net's own middle.
// @choice linksForm even globe ball grid box
// @kernel links linksElement id
// @include ../../random/order.glsl
// @include ../../space/rotation.glsl

// form: 0 even on a ball's surface, 1 on its slices and stacks, 2 within a ball, 3 on a grid, 4 within a box; total points,
// of which every stride-th is drawn (2 and 4: the first ones); extent: full sizes in metres; rows: slices and stacks, or
// points along x, y, z; jitter: share of the spacing.
void linksElement(uint id, uint seed, int form, int total, int stride, vec3 extent, ivec3 rows, float jitter, float dot_,
                  float variation, float placeSpread, out vec3 position, out float size, out float place, out float order,
                  out uint key) {
  int index = form == LINKS_FORM_BALL || form == LINKS_FORM_BOX ? int(id) : int(id) * stride;
  key = uint(index);
  uvec4 h = pcg4d(uvec4(key, seed, 52u, 0u));
  vec3 off = (vec3(unit(h.x), unit(h.y), unit(h.z)) * 2.0 - 1.0) * jitter;
  float i = float(index);
  order = total > 1 ? i / float(total - 1) : 0.0;
  vec3 unit_ = vec3(0.0);
  if (form == LINKS_FORM_EVEN) {
    float z = 1.0 - (2.0 * i + 1.0) / float(total);
    float around = fract(i * 0.61803398875);
    float ring = sqrt(max(0.0, 1.0 - z * z));
    unit_ = vec3(cosTurn(around) * ring, z, sinTurn(around) * ring) + off * (3.5 * inversesqrt(float(total)));
    unit_ *= inversesqrt(dot(unit_, unit_) + 1e-9);
  }
  if (form == LINKS_FORM_GLOBE) {
    int stack = index / rows.x;
    float slice = float(index - stack * rows.x) + off.x;
    float z = sinTurn((float(stack) + 0.5 + off.y * 0.5) / float(rows.y) * 0.5 - 0.25);
    float ring = sqrt(max(0.0, 1.0 - z * z));
    unit_ = vec3(cosTurn(slice / float(rows.x)) * ring, z, sinTurn(slice / float(rows.x)) * ring);
  }
  vec3 u = orderedPoint(id, seed);
  if (form == LINKS_FORM_BALL) unit_ = sphereDirection(u.x, u.y) * pow(u.z, 1.0 / 3.0);
  if (form == LINKS_FORM_GRID) {
    int row = index / rows.x;
    int layer = row / rows.y;
    vec3 cell = vec3(float(index - row * rows.x), float(row - layer * rows.y), float(layer));
    unit_ = ((cell + 0.5 + off) / vec3(rows)) * 2.0 - 1.0;
  }
  if (form == LINKS_FORM_BOX) unit_ = u * 2.0 - 1.0;
  position = unit_ * extent * 0.5;
  size = dot_ * exp2((unit(h.w) * 2.0 - 1.0) * variation);
  place = clamp(0.5 + (unit(h.y) - 0.5) * placeSpread, 0.0, 1.0);
}
