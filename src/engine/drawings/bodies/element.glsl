// An element, and where a vertex of its body is in the view. In front of it stand the composed breakBody and bendBody
// (layer/program.ts) and frame/view.glsl.
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

// place and size, rotation when the shutter opens and closes, and between; look: colour and how far it is there; mark: key, order,
// blur, cut
struct Element { vec4 open; vec4 shut; vec4 q0; vec4 q1; vec4 look; vec4 mark; vec4 q; vec3 place; float size; };

vec3 turned(vec4 q, vec3 v) {
  vec3 t = cross(q.xyz, v) * 2.0;
  return v + t * q.w + cross(q.xyz, t);
}

Element elementAt(ivec2 texel) {
  Element e;
  e.open = texelFetch(uOpenPlace, texel, 0);
  e.shut = texelFetch(uClosePlace, texel, 0);
  e.q0 = texelFetch(uOpenTurn, texel, 0);
  e.q1 = texelFetch(uCloseTurn, texel, 0);
  e.mark = texelFetch(uOpenMark, texel, 0);
  e.look = texelFetch(uOpenLook, texel, 0);
  e.size = mix(e.open.w, e.shut.w, uTime);
  e.q = normalize(mix(e.q0, dot(e.q0, e.q1) < 0.0 ? -e.q1 : e.q1, uTime));
  e.place = mix(e.open.xyz, e.shut.xyz, uTime);
  return e;
}

// vertex: on its body, and then on what is left of that; normal: turned with it; straight: in the world before it is bent; position: after
vec3 viewOf(Element e, inout vec3 vertex, inout vec3 normal, out vec3 straight, out vec3 position) {
  breakBody(uint(e.mark.x), e.mark.y, e.place, aPiece.xyz, uint(aPiece.w), vertex, normal);
  position = e.place + turned(e.q, vertex) * e.size;
  normal = turned(e.q, normal);
  straight = position;
  bendBody(e.mark.y, position, normal);
#ifdef RIDES
  // what hangs on the camera is where it is to it when the shutter opens, and when it closes
  vec3 first = e.open.xyz + turned(e.q0, vertex) * e.open.w;
  vec3 last = e.shut.xyz + turned(e.q1, vertex) * e.shut.w;
  vec3 aside = vec3(0.0, 1.0, 0.0);
  bendBody(e.mark.y, first, aside);
  bendBody(e.mark.y, last, aside);
  return mix((uViewOpen * vec4(first, 1.0)).xyz, (uViewClose * vec4(last, 1.0)).xyz, uTime);
#else
  return (uView * vec4(position - vec3(0.0, 0.0, float(aElement.y) * uTile), 1.0)).xyz;
#endif
}
