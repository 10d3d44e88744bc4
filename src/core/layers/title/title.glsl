// One letter, word, line or path of a title, where the title stands.
// @choice titlePlace order chance across height
// @kernel title titleElement id
// @include ../../random/hash.glsl
// @include ../../space/rotation.glsl

vec4 letterAt(sampler2D letters, int at) { return texelFetch(letters, ivec2(at & 1023, at >> 10), 0); }

// letters: two entries an element: its place in ems, order 0..1; then turns counter-clockwise, or around a drum to the right, where
// its edge is in metres of the world along the way out of it, 1 where it is shown and 0 where not, key. stand: where its
// middle is; turned: how the whole is turned; emSize: metres; half_: half
// the size of the whole in ems; drum: 1 around one; placeBy: 0 by order, 1 by chance, 2 from left to right, 3 from the bottom up.
void titleElement(uint id, sampler2D letters, uint seed, vec3 stand, vec4 turned, float emSize, vec2 half_, int drum, int placeBy, float placeSpread,
                  out vec3 position, out vec4 rotation, out float size, out float place, out float fade, out float order,
                  out float cut, out uint key) {
  int at = int(id) * 2;
  vec4 where = letterAt(letters, at);
  vec4 which = letterAt(letters, at + 1);
  position = stand + rotateBy(turned, where.xyz * emSize);
  rotation = quatTimes(turned, quatAbout(drum == 1 ? vec3(0.0, 1.0, 0.0) : vec3(0.0, 0.0, 1.0), which.x));
  size = emSize;
  order = where.w;
  cut = which.y;
  fade = which.z;
  key = uint(which.w);
  place = order;
  if (placeBy == TITLE_PLACE_CHANCE) place = unit(pcg4d(uvec4(key, seed, 61u, 0u)).x);
  if (placeBy == TITLE_PLACE_ACROSS) place = 0.5 + 0.5 * where.x / max(half_.x, 1e-6);
  if (placeBy == TITLE_PLACE_HEIGHT) place = 0.5 + 0.5 * where.y / max(half_.y, 1e-6);
  place = clamp(0.5 + (place - 0.5) * placeSpread, 0.0, 1.0);
}
