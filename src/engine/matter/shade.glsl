// What matter looks like under the lights of the piece. All directions are the world's. Needs matter/brdf.glsl and what
// lights/program.ts puts together; behind it stands the `shade` of one kind of matter.
uniform vec4 uMaterial[2];  // eight numbers of the kind's own
uniform float uLap;         // phase, for what moves over it

// n: unit normal towards the viewer; v: unit direction to the viewer; base: its colour; own: place on the body; mark: its key
struct Body { vec3 n; vec3 v; vec3 base; vec3 own; float mark; };

// light that a surface gives back, of all lights; gloss: what is reflected of what is around is multiplied by
vec3 shine(Body b, vec3 f0, vec3 diffuse, float rough, float gloss) {
  float nv = clamp(dot(b.n, b.v), 0.0, 1.0);
  vec3 light = lightOn(Surface(b.n, b.v, diffuse, f0, max(rough * rough, 0.003)));
  light += lightFrom(reflect(-b.v, b.n), rough) * reflected(f0, rough, nv) * gloss;
  light += lightFrom(b.n, 1.0) * diffuse * 0.5;
  return light;
}
