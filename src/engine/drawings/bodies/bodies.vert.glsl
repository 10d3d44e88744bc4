// One vertex of a body, seen from this pass's own point of the lens at its own time. Needs element.glsl.
in vec3 aPosition;
in vec3 aNormal;
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
#ifdef WORN
in vec3 aUv;             // where on its pictures, and its material
out vec3 vWorn;
#endif
#ifdef DYED
in vec3 aDye;
out vec3 vDye;
#endif
flat out vec4 vLook;
flat out float vMark;

void main() {
  ivec2 texel = ivec2(aElement.x & 1023, aElement.x >> 10);
  Element e = elementAt(texel);
  vLook = e.look;
  vMark = e.mark.x;
#ifdef PICTURED
  showPicture(aElement.x);
#endif
  gl_Position = vec4(2.0, 2.0, 2.0, 1.0);
  if (e.size <= 0.0 || vLook.a <= 0.0) return;
  vec3 vertex = aPosition;
  vec3 normal = aNormal;
  vec3 straight;
  vec3 position;
  vec3 v = viewOf(e, vertex, normal, straight, position);
#ifdef SHINES
  vOwn = vertex;
#endif
#ifdef WORN
  vWorn = aUv;
#endif
#ifdef DYED
  vDye = aDye;
#endif
#ifdef CUT
  vOut = dot(uCut, straight) - e.mark.w;
#endif
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
  vView = v;
  vNormal = normal;
#ifdef BLURS
  vBlur = e.mark.z;
  // as if the lens saw it so much farther out of focus than it is
  v.xy += uLensAt * (-v.z < uFocus ? -0.5 : 0.5) * e.mark.z;
#endif
#ifdef OVER
  gl_Position = throughLens(v, vec2(0.0), uJitter);
#else
  gl_Position = throughLens(v, uLens, uJitter);
#endif
}
