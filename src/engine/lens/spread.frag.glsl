// What is spread over every tile: by itself, and by nearer things of the tiles around, which may cover it. Needs motion.glsl.
uniform sampler2D uReach;
uniform sampler2D uNear;
layout(location = 0) out vec4 outSpread;  // radius of its own, radius of what may cover it, 1 where that is before the focus, longest way; pixels
layout(location = 1) out vec4 outCover;   // way of what may cover it, pixels

void main() {
  ivec2 here = ivec2(gl_FragCoord.xy);
  ivec2 tiles = textureSize(uReach, 0);
  vec4 own = texelFetch(uReach, here, 0);
  vec4 ownNear = texelFetch(uNear, here, 0);
  // what is behind everything may be covered by all that has a blur
  float deepest = own.w > 0.0 ? own.y : 1e9;
  float cover = 0.0;
  float before = 0.0;
  vec2 way = vec2(0.0);
  int around = int(ceil(1.5 * uSpread.z / float(TILE)));
  ivec2 low = max(here - around, ivec2(0));
  ivec2 high = min(here + around, tiles - 1);
  for (int y = low.y; y <= high.y; y++)
    for (int x = low.x; x <= high.x; x++) {
      vec4 other = texelFetch(uReach, ivec2(x, y), 0);
      float kind = abs(other.w);
      if (kind < 0.5) continue;
      vec4 near = texelFetch(uNear, ivec2(x, y), 0);
      // only what moves otherwise than what it may cover
      vec2 moved = near.x * NEARER < ownNear.y && length(near.zw - ownNear.zw) > 1.5 || (own.w <= 0.0 && length(near.zw) > 1.5) ? near.zw : vec2(0.0);
      float radius = kind > 1.5 || other.x < deepest - 0.8 ? max(abs(other.x), abs(other.y)) : 0.0;
      if (kind > 1.5) radius = max(radius, PARTLY_PX);
      float reach = radius + 0.5 * length(moved);
      vec2 gap = vec2(max(abs(ivec2(x, y) - here) - 1, ivec2(0)) * TILE);
      if (reach < 0.8 || length(gap) > reach + 1.0) continue;
      before = radius > cover ? float(other.x < 0.0) : before;
      cover = max(cover, radius);
      way = length(moved) > length(way) ? moved : way;
    }
  float radius = abs(own.w) > 1.5 ? PARTLY_PX : 0.0;
  outSpread = vec4(own.w != 0.0 ? max(radius, max(abs(own.x), abs(own.y))) : 0.0, cover, before, own.z);
  outCover = vec4(way, 0.0, 0.0);
}
