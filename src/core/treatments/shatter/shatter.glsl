// Pieces of a broken body: one vertex of the piece, in the element's own space.
// @kernel shatter shatterVertex heart piece key weight
// @include ../../random/hash.glsl
// @include ../../space/rotation.glsl

// weight: how far it acts on this body; heart: centre of the piece in units of size; piece: its number; amount: 0 whole .. 1 flown apart; away: sizes a piece flies
// outwards; fall: sizes it falls; turns: most turns it makes; spread: 0 all alike .. 1 each at a speed of its own;
// stagger: 0 all at once .. 1 one after another, from the front (+z) side on. normal is turned along.
void shatterVertex(uint key, float weight, vec3 heart, uint piece, uint seed, float amount, float away, float fall, float turns,
                   float spread, float stagger, inout vec3 vertex, inout vec3 normal) {
  uvec4 h = pcg4d(uvec4(key, piece, seed, 45u));
  uvec4 g = pcg4d(uvec4(key, piece, seed, 46u));
  float late = stagger * clamp(0.5 - heart.z * 0.5 + (unit(g.w) - 0.5) * 0.3, 0.0, 1.0);
  float t = clamp((amount * weight - late * 0.9) / max(1.0 - late * 0.9, 1e-3), 0.0, 1.0);
  float pace = mix(1.0, 0.25 + 1.5 * unit(h.w), spread) * t;
  vec3 direction = heart * inversesqrt(dot(heart, heart) + 1e-6) + (sphereDirection(unit(h.x), unit(h.y))) * 0.35 * spread;
  vec4 q = quatAbout(sphereDirection(unit(g.x), unit(g.y)), (unit(g.z) * 2.0 - 1.0) * turns * t);
  vertex = heart + rotateBy(q, vertex - heart) + direction * (away * pace) - vec3(0.0, fall * pace * t, 0.0);
  normal = rotateBy(q, normal);
}
