// One part of an impossible figure, or one thing that goes round it. Result about the figure's own middle; placement follows.
// @choice impossiblePlace order chance height across
// @kernel impossible impossibleElement id
// @include ../../random/hash.glsl
// @include ../../space/rotation.glsl

vec4 rowAt(sampler2D table, int at) { return texelFetch(table, ivec2(at & 1023, at >> 10), 0); }

// parts: an entry for each part: its middle, how far it is there; then for each that goes round: how far ahead of the first it is in
// rounds, how far it strays to the right and up, its order. way: two entries a step, one step more than there are: place; the way
// ahead, as it is read, to the right and up. blocks: parts. attitude: how the figure is turned; reading: how its reader is, who
// looks along -z; half_: half its size as it is read; ahead: rounds the first has gone; letters: 1, what goes round stands along its way.
void impossibleElement(uint id, uint seed, sampler2D parts, sampler2D way, int blocks, int steps, vec4 attitude, vec4 reading, vec2 half_,
                       float ahead, float goes, float glow, float tinted, int letters, int placeBy, float placeSpread,
                       out vec3 position, out vec4 rotation, out float size, out float place, out float light, out float fade, out float order, out uint key) {
  int index = int(id);
  bool stands = index < blocks;
  vec4 own = rowAt(parts, index);
  float round = fract(ahead + own.x);
  float at = round * float(steps);
  int step_ = min(int(at), steps - 1);
  float share = at - float(step_);
  int row = step_ * 2;
  vec3 on = mix(rowAt(way, row).xyz, rowAt(way, row + 2).xyz, share);
  vec2 along = normalize(mix(rowAt(way, row + 1).xy, rowAt(way, row + 3).xy, share));
  vec3 right = rotateBy(reading, vec3(1.0, 0.0, 0.0));
  vec3 up = rotateBy(reading, vec3(0.0, 1.0, 0.0));
  vec3 strayed = on + own.y * right + own.z * up;
  vec3 where = stands ? own.xyz : strayed;
  position = rotateBy(attitude, where);
  // half the turn to the way ahead, by half-angle formulas
  float c = sqrt(max(0.0, 0.5 + 0.5 * along.x));
  float s = sqrt(max(0.0, 0.5 - 0.5 * along.x)) * (along.y < 0.0 ? -1.0 : 1.0);
  vec4 leans = letters == 1 ? quatTimes(reading, vec4(0.0, 0.0, s, c)) : vec4(0.0, 0.0, 0.0, 1.0);
  rotation = stands ? attitude : quatTimes(attitude, leans);
  size = stands ? 1.0 : goes;
  light = stands ? 1.0 : glow;
  fade = stands ? own.w : 1.0;
  order = stands ? (blocks > 1 ? float(index) / float(blocks - 1) : 0.0) : own.w;
  key = id;
  place = order;
  if (placeBy == IMPOSSIBLE_PLACE_CHANCE) place = unit(pcg4d(uvec4(key, seed, 77u, 0u)).x);
  if (placeBy == IMPOSSIBLE_PLACE_HEIGHT) place = 0.5 + 0.5 * dot(up, where) / max(half_.y, 1e-6);
  if (placeBy == IMPOSSIBLE_PLACE_ACROSS) place = 0.5 + 0.5 * dot(right, where) / max(half_.x, 1e-6);
  place = stands ? clamp(0.5 + (place - 0.5) * placeSpread, 0.0, 1.0) : tinted;
}
