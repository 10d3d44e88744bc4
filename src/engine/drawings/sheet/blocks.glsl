// The blocks that a sheet is drawn in, and where its vertices are.
uniform ivec3 uSheet;    // cells across and along; blocks across

// Where a vertex of a block is drawn: where the block beside it has fewer vertices, those between are moved onto the next that both have.
// sides: how often each is halved, see seams.ts
ivec2 joined(ivec2 local, int sides) {
  int halved = local.x == 0 ? sides & 3 : local.x == BLOCK ? (sides >> 2) & 3 : 0;
  local.y = (local.y >> halved) << halved;
  halved = local.y == 0 ? (sides >> 4) & 3 : local.y == BLOCK ? (sides >> 6) & 3 : 0;
  local.x = (local.x >> halved) << halved;
  return local;
}

// the texel of a vertex of a block, counted from its first cell; past the end of the sheet it is the last
ivec2 vertexOf(int block, ivec2 local) {
  ivec2 cell = min(ivec2(block % uSheet.z, block / uSheet.z) * BLOCK + local, uSheet.xy);
  int id = cell.y * (uSheet.x + 1) + cell.x;
  return ivec2(id & 1023, id >> 10);
}
