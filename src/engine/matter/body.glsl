// A fragment of something made of a kind of matter. Needs matter/surface.glsl; behind it stands the
// `matterOf` of one kind. SHINES is defined for a kind that shines by a program of its own.
uniform vec4 uMaterial[3];  // twelve numbers of the kind's own, the first of which are metal, roughness and glow
uniform mat4 uView;
uniform float uLap;         // phase, for what moves over it
uniform float uTakes;       // 1 where shadows fall on it, 2 where not
uniform vec4 uAirAt;        // a place of the world, and 1 where all of it is as far into the air as that; else 0
uniform sampler2D uMatterColours; // two rows: of the kind of matter, of the pattern

// n: unit normal towards the viewer; v: unit direction to the viewer; base: its colour; mark: its key; own: place on the body, where
// matter shines by a program of its own, else 0; place: in the world; rough, glow: its roughness, and how many times its colour it
// gives off, both as its pattern leaves them. All directions are the world's.
struct Body { vec3 n; vec3 v; vec3 base; vec3 own; float mark; vec3 place; float rough; float glow; };

// what matter is; glow: it gives off its colour by itself so many times; opaque: how far it is there. Of matter that shines by
// a program of its own the colour is the light it gives back, and what it is otherwise does not count
struct Matter { vec3 colour; float rough; float metal; float glow; float opaque; };

Matter matterOf(Body b);
// how far a clear coat is on matter that is lit later, and how rough that is
#ifdef COATS
vec2 coatOf();
#else
vec2 coatOf() { return vec2(0.0); }
#endif

#ifdef COVERED
void cover(inout Body b);
#endif

// what a place is before its kind of matter is asked
Body bodyAt(vec3 n, vec3 v, vec3 base, vec3 own, float mark, vec3 place) {
  Body b = Body(n, v, base, own, mark, place, uMaterial[0].y, uMaterial[0].z);
#ifdef COVERED
  cover(b);
#endif
  return b;
}

// soft: metres that its blur is wider than the lens makes it; less than 0: it is sharp wherever it is
void keep(Matter m, vec3 n, float depth, bool partly, float soft) {
#if defined(SHINES) || defined(MIRRORED)
  keepShone(m.colour, depth, partly, soft);
#elif defined(OWN_LIGHT)
  float air = uAirAt.w * max(1e-3, -(uView * vec4(uAirAt.xyz, 1.0)).z);
  keepShone(m.colour * m.glow, depth, partly, soft, air);
#else
  vec2 coat = coatOf();
  outSurface = vec4(octahedron(n), uTakes + kept(coat.x), depth);
  outColour = vec4(m.colour, m.glow);
  outManner = vec4(m.rough, m.metal, float(partly) + kept(coat.y), soft);
#endif
#ifdef ALONE
  // it hides lines, and is not seen
  outSurface.w = 1e9;
#endif
}
void keep(Matter m, vec3 n, float depth, bool partly) { keep(m, n, depth, partly, 0.0); }

#if defined(MIRRORED) && !defined(SHINES)
// what is lit later otherwise, lit now, for its program knows what it mirrors
vec3 litNow(Body b, Matter m) {
  vec3 f0 = mix(vec3(0.04), m.colour, m.metal);
  vec3 diffuse = m.colour * (1.0 - m.metal);
#ifdef COATED
  vec2 coat = coatOf();
  vec3 light = shineCoated(b.n, b.v, f0, diffuse, m.metal, m.rough, b.place, 2.0 - uTakes, coat.x, coat.y);
#else
  vec3 light = shine(b.n, b.v, f0, diffuse, m.metal, m.rough, 1.0, b.place, 2.0 - uTakes);
#endif
  return light + m.colour * m.glow;
}
#endif
