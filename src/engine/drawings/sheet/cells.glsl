// Cells of a sheet, one vertex wide.
uniform ivec3 uSheet;    // cells across and along; blocks across
uniform sampler2D uOpenPlace;
uniform sampler2D uClosePlace;
uniform sampler2D uOpenTurn;

// the texel of a vertex
ivec2 vertexAt(ivec2 at) {
  int id = at.y * (uSheet.x + 1) + at.x;
  return ivec2(id & 1023, id >> 10);
}

vec3 openAt(ivec2 at) { return texelFetch(uOpenPlace, vertexAt(at), 0).xyz; }
vec3 shutAt(ivec2 at) { return texelFetch(uClosePlace, vertexAt(at), 0).xyz; }

vec3 normalAt(ivec2 at) {
  vec4 q = texelFetch(uOpenTurn, vertexAt(at), 0);
  return normalize(uprightOf(q));
}

// which way a cell faces when the shutter opens, as long as it is large; that before the first row is of the tile before, and there is
// none beside the sheet
vec3 facingOf(ivec2 cell, float tile) {
  vec3 p[4];
  for (int i = 0; i < 4; i++) {
    ivec2 at = cell + ivec2(i % 2, i / 2);
    bool before = cell.y < 0;
    p[i] = openAt(clamp(ivec2(at.x, before ? at.y + uSheet.y : at.y), ivec2(0), uSheet.xy)) + vec3(0.0, 0.0, before ? tile : 0.0);
  }
  return cross(p[3] - p[0], p[2] - p[1]);
}
