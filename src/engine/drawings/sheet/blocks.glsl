// The blocks that a sheet is drawn in, and where its vertices are.
uniform ivec3 uSheet;    // cells across and along; blocks across

// the texel of a vertex of a block, counted from its first cell; past the end of the sheet it is the last
ivec2 vertexOf(int block, ivec2 local) {
  ivec2 cell = min(ivec2(block % uSheet.z, block / uSheet.z) * BLOCK + local, uSheet.xy);
  int id = cell.y * (uSheet.x + 1) + cell.x;
  return ivec2(id & 1023, id >> 10);
}
