// A quad of a wall and what is around it. Rings of a wall lie one after another, each of so many corners, of which the first are those of the wall; behind
// them are two rings past the end, and the one before the first.
uniform sampler2D uOpenPlace;
uniform sampler2D uClosePlace;
uniform float uTime;
uniform ivec4 uWall;     // corners of the wall, elements of a ring, rings, how many rings after one another have quads: 1 or more than there are

uniform vec4 uRound;     // limits of what is round from one quad to the next: around, and along

struct Quad { int ring; int corner; };

Quad quadOf(int first) {
  return Quad(first / uWall.y, first % uWall.y);
}

// the texel of an element that many rings and corners beyond the quad's first
ivec2 elementOf(Quad q, int along, int around) {
  int ring = q.ring + along;
  int corner = (q.corner + around + uWall.x) % uWall.x;
  int id = (ring < 0 ? uWall.z + 2 : ring) * uWall.y + corner;
  return ivec2(id & 1023, id >> 10);
}

vec3 placeOf(Quad q, int along, int around) {
  ivec2 texel = elementOf(q, along, around);
  return mix(texelFetch(uOpenPlace, texel, 0).xyz, texelFetch(uClosePlace, texel, 0).xyz, uTime);
}

// which way a quad faces, as long as it is large
vec3 facing(vec3 a, vec3 b, vec3 c, vec3 d) { return cross(d - a, c - b); }

// how far two quads are one round wall: by the cosines of the angles from which on they are not, and up to which all of it is
float roundBetween(vec3 one, vec3 other, vec2 limits) {
  float fold = dot(one, other) * inversesqrt(max(dot(one, one) * dot(other, other), 1e-30));
  return smoothstep(limits.x, limits.y, fold);
}

// the normal of a quad at one of its corners: its own, and what of its neighbours there is as round. Not of length 1; 0 where it has none
vec3 normalAt(Quad q, int along, int around) {
  vec3 p[9];
  for (int i = 0; i < 9; i++) p[i] = placeOf(q, along + i / 3 - 1, around + i % 3 - 1);
  vec3 n[4];
  for (int i = 0; i < 4; i++) {
    int k = (i / 2) * 3 + i % 2;
    n[i] = facing(p[k], p[k + 1], p[k + 3], p[k + 4]);
  }
  ivec2 mine = ivec2(1 - around, 1 - along);
  vec3 own = n[mine.y * 2 + mine.x];
  vec3 sum = vec3(0.0);
  for (int i = 0; i < 4; i++) sum += n[i] * roundBetween(own, n[i], i % 2 == mine.x ? uRound.zw : uRound.xy);
  return sum;
}
