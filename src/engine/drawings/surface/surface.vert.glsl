// A corner of a quad of a wall, seen from this pass's own point of the lens. Needs frame/view.glsl and wall.glsl.
in ivec2 aQuad;          // the first element of a quad, and the number of its repetition
uniform sampler2D uOpenLook;
uniform mat4 uView;
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
  Quad q = quadOf(aQuad.x);
  int along = gl_VertexID / 2;
  int around = gl_VertexID % 2;
  vec3 p = placeOf(q, along, around);
  vView = (uView * vec4(p - vec3(0.0, 0.0, float(aQuad.y) * uTile), 1.0)).xyz;
  vLook = texelFetch(uOpenLook, elementOf(q, along, around), 0).rgb;
  vNormal = normalAt(q, along, around);
  // long or short, all of them count the same across the quad
  vNormal *= inversesqrt(max(dot(vNormal, vNormal), 1e-30));
  vWorld = p;
#ifdef COVERED
  vPattern = p;
#ifdef GLUED
  vPattern = thenAhead(p, texelFetch(uOpenPlace, elementOf(q, 0, 0), 0).xyz);
#endif
#endif
  gl_Position = throughLens(vView, uLens, uJitter);
}
