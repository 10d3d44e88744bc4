// Two triangles for every part of every cell's flare; no attributes. Parts: shine, ring, streak, and ghosts.
uniform sampler2D uFlares;
uniform sampler2D uColours;
uniform vec2 uPicture;        // pixels
uniform vec2 uParts[3];       // strength, and size as a share of the shorter side
uniform vec2 uTurn;           // cosine and sine of the streak
uniform int uGhosts;
uniform float uGhost;         // their strength
uniform vec2 uGhostAt[8];     // along the line from the light through the middle, and size
uniform vec3 uGhostTint[8];
out vec2 vAt;                 // -1 to 1
flat out int vPart;
flat out vec3 vLight;

void main() {
  int parts = 3 + uGhosts;
  int quad = gl_VertexID / 6;
  int corner = gl_VertexID % 6;
  int part = quad % parts;
  int cell = quad / parts;
  ivec2 size = textureSize(uFlares, 0);
  ivec2 at = ivec2(cell % size.x, cell / size.x);
  gl_Position = vec4(2.0, 2.0, 2.0, 1.0);
  vAt = vec2(0.0);
  vPart = part;
  vLight = vec3(0.0);
  if (cell >= size.x * size.y) return;
  vec4 flare = texelFetch(uFlares, at, 0);
  float strength = flare.z * flare.w * (part < 3 ? uParts[min(part, 2)].x : uGhost);
  if (strength < 1e-5) return;
  vec3 colour = texelFetch(uColours, at, 0).rgb;
  colour /= max(max(colour.r, max(colour.g, colour.b)), 1e-12);
  int ghost = max(part - 3, 0);
  float side = min(uPicture.x, uPicture.y);
  vec2 reach = vec2(part < 3 ? uParts[min(part, 2)].y : uGhostAt[ghost].y) * flare.w;
  // no thinner than what is drawn on shows
  if (part == 2) reach.y = max(0.007 * flare.w, 2.0 / side);
  vec2 middle = part < 3 ? flare.xy : 0.5 + (flare.xy - 0.5) * uGhostAt[ghost].x;
  vAt = vec2(corner == 1 || corner == 2 || corner == 4 ? 1.0 : -1.0, corner == 2 || corner == 4 || corner == 5 ? 1.0 : -1.0);
  vec2 d = vAt * reach;
  if (part == 2) d = vec2(d.x * uTurn.x - d.y * uTurn.y, d.x * uTurn.y + d.y * uTurn.x);
  vLight = colour * strength * (part < 3 ? vec3(1.0) : uGhostTint[ghost]);
  gl_Position = vec4((middle + d * side / uPicture) * 2.0 - 1.0, 0.0, 1.0);
}
