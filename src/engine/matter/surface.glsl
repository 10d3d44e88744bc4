// What a pass keeps of the matter that it sees, for every pixel that of what is nearest: frame/lighting.frag.glsl turns it
// into light, once a pixel.
layout(location = 0) out vec4 outSurface;  // normal in the world as an octahedron; 1 lit later, 2 that without shadows, 0 not, and the clear coat; depth in metres
layout(location = 1) out vec4 outColour;   // linear colour; what it gives off by itself is that times the fourth number
layout(location = 2) out vec4 outManner;   // roughness, share that is metal, whether it is only partly there and its coat's roughness, metres of blur besides the lens's

// a share 0..1 of a clear coat is kept behind the point of a whole number: nine tenths of it, so that 1 is not the next
float kept(float share) { return 0.9 * share; }

// a direction as a place of the octahedron (Cigolle et al., JCGT 3(2), 2014)
vec2 octahedron(vec3 n) {
  vec2 p = n.xy / (abs(n.x) + abs(n.y) + abs(n.z));
  return n.z >= 0.0 ? p : (1.0 - abs(p.yx)) * vec2(p.x >= 0.0 ? 1.0 : -1.0, p.y >= 0.0 ? 1.0 : -1.0);
}
// air: metres of air before it where that is not its depth, else 0
void keepShone(vec3 light, float depth, bool partly, float soft, float air) {
  outSurface = vec4(0.0, 0.0, 0.0, depth);
  outColour = vec4(light, 0.0);
  outManner = vec4(air, 0.0, float(partly), soft);
}
void keepShone(vec3 light, float depth, bool partly, float soft) { keepShone(light, depth, partly, soft, 0.0); }
void keepShone(vec3 light, float depth, bool partly) { keepShone(light, depth, partly, 0.0); }
