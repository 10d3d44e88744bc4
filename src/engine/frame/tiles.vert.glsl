// Two triangles for every tile of the picture in which there is what is drawn; no attributes.
uniform sampler2D uTileMarks;
uniform vec2 uPicture;
out vec2 vUv;
void main() {
  ivec2 tiles = textureSize(uTileMarks, 0);
  int tile = gl_VertexID / 6;
  int corner = gl_VertexID % 6;
  ivec2 at = ivec2(tile % tiles.x, tile / tiles.x);
  gl_Position = vec4(2.0, 2.0, 2.0, 1.0);
  vUv = vec2(0.0);
  if (texelFetch(uTileMarks, at, 0)[max(MARK - 1, 0)] < 0.5) return;
  ivec2 side = ivec2(corner == 1 || corner == 2 || corner == 4 ? 1 : 0, corner == 2 || corner == 4 || corner == 5 ? 1 : 0);
  vUv = min(vec2((at + side) * TILE) / uPicture, 1.0);
  gl_Position = vec4(vUv * 2.0 - 1.0, 0.0, 1.0);
}
