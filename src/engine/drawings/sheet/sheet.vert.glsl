// A vertex of one block of a sheet, seen from this pass's own point of the lens. Blocks beside one another have the same vertices along
// their sides, so nothing gapes. Needs frame/view.glsl and blocks.glsl.
in ivec3 aBlock;         // the block, the number of its repetition, and how often its sides are halved: see seams.ts
uniform sampler2D uOpenPlace;
uniform sampler2D uClosePlace;
uniform sampler2D uOpenLook;
uniform sampler2D uOpenTurn;
uniform mat4 uView;
uniform float uTime;
uniform float uTile;     // metres from one repetition to the next
uniform vec2 uLens;      // lens point in metres
uniform vec2 uJitter;    // sub-pixel offset in pixels
out vec3 vView;
out vec3 vLook;
out vec3 vNormal;
out vec3 vWorld;
#ifdef COVERED
out vec3 vPattern;
#endif

void main() {
  ivec2 texel = vertexOf(aBlock.x, joined(ivec2(gl_VertexID % (BLOCK + 1), gl_VertexID / (BLOCK + 1)), aBlock.z));
  vec3 p = mix(texelFetch(uOpenPlace, texel, 0).xyz, texelFetch(uClosePlace, texel, 0).xyz, uTime);
  vView = (uView * vec4(p - vec3(0.0, 0.0, float(aBlock.y) * uTile), 1.0)).xyz;
  vLook = texelFetch(uOpenLook, texel, 0).rgb;
  vNormal = uprightOf(texelFetch(uOpenTurn, texel, 0));
  vWorld = p;
#ifdef COVERED
  vPattern = p;
#ifdef GLUED
  ivec2 middle = vertexOf(aBlock.x, ivec2(BLOCK / 2));
  vPattern = thenAhead(p, texelFetch(uOpenPlace, middle, 0).xyz);
#endif
#endif
  gl_Position = throughLens(vView, uLens, uJitter);
}
