// One vertex of a body, seen from this pass's own point of the lens at its own time. In front of it stand the composed
// breakBody and bendBody (layer/program.ts) and frame/view.glsl.
in vec3 aPosition;
in vec3 aNormal;
in ivec2 aElement;       // the element, and the number of its repetition
in vec4 aPiece;          // centre and number of the piece the vertex belongs to
uniform sampler2D uOpenPlace;
uniform sampler2D uClosePlace;
uniform sampler2D uOpenLook;
uniform sampler2D uOpenTurn;
uniform sampler2D uCloseTurn;
uniform sampler2D uOpenMark;
uniform mat4 uView;
#ifdef RIDES
uniform mat4 uViewOpen;
uniform mat4 uViewClose;
#endif
uniform float uTime;
uniform float uTile;     // metres from one repetition to the next
uniform vec2 uLens;      // lens point in metres
uniform vec2 uJitter;    // sub-pixel offset in pixels
#ifdef BLURS
uniform vec2 uLensAt;    // where in the lens, as shares of its radius
flat out float vBlur;
#endif
#ifdef CUT
uniform vec3 uCut;       // the way out from the edge
out float vOut;          // metres out from it
#endif
out vec3 vView;
out vec3 vNormal;
#ifdef SHINES
out vec3 vOwn;
#endif
#ifdef COVERED
out vec3 vPattern;
#endif
flat out vec4 vLook;
flat out float vMark;

vec3 turned(vec4 q, vec3 v) {
  vec3 t = cross(q.xyz, v) * 2.0;
  return v + t * q.w + cross(q.xyz, t);
}

void main() {
  ivec2 texel = ivec2(aElement.x & 1023, aElement.x >> 10);
  vec4 open = texelFetch(uOpenPlace, texel, 0);
  vec4 shut = texelFetch(uClosePlace, texel, 0);
  vec4 q0 = texelFetch(uOpenTurn, texel, 0);
  vec4 q1 = texelFetch(uCloseTurn, texel, 0);
  vec4 mark = texelFetch(uOpenMark, texel, 0);
  vLook = texelFetch(uOpenLook, texel, 0);
  vMark = mark.x;
#ifdef PICTURED
  showPicture(aElement.x);
#endif
  float size = mix(open.w, shut.w, uTime);
  gl_Position = vec4(2.0, 2.0, 2.0, 1.0);
  if (size <= 0.0 || vLook.a <= 0.0) return;
  vec4 q = normalize(mix(q0, dot(q0, q1) < 0.0 ? -q1 : q1, uTime));
  vec3 vertex = aPosition;
  vec3 normal = aNormal;
  vec3 place = mix(open.xyz, shut.xyz, uTime);
  breakBody(uint(mark.x), mark.y, place, aPiece.xyz, uint(aPiece.w), vertex, normal);
#ifdef SHINES
  vOwn = vertex;
#endif
  vec3 position = place + turned(q, vertex) * size;
  normal = turned(q, normal);
#ifdef CUT
  vOut = dot(uCut, position) - mark.w;
#endif
  bendBody(mark.y, position, normal);
#ifdef COVERED
#if defined(GLUED)
  vec4 then = texelFetch(uThenPlace, texel, 0);
  vPattern = thenAhead(then.xyz + turned(texelFetch(uThenTurn, texel, 0), aPosition) * then.w, then.xyz);
#elif defined(IN_WORLD)
  vPattern = position;
#else
  vPattern = aPosition;
#endif
#endif
#ifdef RIDES
  // what hangs on the camera is where it is to it when the shutter opens, and when it closes
  vec3 first = open.xyz + turned(q0, vertex) * open.w;
  vec3 last = shut.xyz + turned(q1, vertex) * shut.w;
  vec3 aside = vec3(0.0, 1.0, 0.0);
  bendBody(mark.y, first, aside);
  bendBody(mark.y, last, aside);
  vec3 v = mix((uViewOpen * vec4(first, 1.0)).xyz, (uViewClose * vec4(last, 1.0)).xyz, uTime);
#else
  vec3 v = (uView * vec4(position - vec3(0.0, 0.0, float(aElement.y) * uTile), 1.0)).xyz;
#endif
  vView = v;
  vNormal = normal;
#ifdef BLURS
  vBlur = mark.z;
  // as if the lens saw it so much farther out of focus than it is
  v.xy += uLensAt * (-v.z < uFocus ? -0.5 : 0.5) * mark.z;
#endif
#ifdef OVER
  gl_Position = throughLens(v, vec2(0.0), uJitter);
#else
  gl_Position = throughLens(v, uLens, uJitter);
#endif
}
