// How far what is in every tile of a pass is spread by the lens and the open shutter. Needs frame/view.glsl and motion.glsl.
uniform sampler2D uSharp;  // depth in metres: less than 0 of what is only partly there
layout(location = 0) out vec4 outReach;  // least and most signed blur of matter, pixels; longest way, pixels; 1 where there is matter, 2 where partly, less than 0 where not all over
layout(location = 1) out vec4 outNear;   // least and most depth of matter; way of the nearest, pixels

void main() {
  ivec2 first = ivec2(gl_FragCoord.xy) * TILE;
  ivec2 last = min(first + TILE, ivec2(uPicture));
  float near = 1e9;
  float far = 0.0;
  float behind = 0.0;
  bool partly = false;
  for (int y = first.y; y < last.y; y++)
    for (int x = first.x; x < last.x; x++) {
      float depth = texelFetch(uSharp, ivec2(x, y), 0).a;
      partly = partly || depth < 0.0;
      depth = abs(depth);
      near = min(near, depth);
      far = max(far, depth < BEHIND ? depth : 0.0);
      behind = max(behind, depth);
    }
  vec2 middle = 0.5 * vec2(first + last);
  vec2 way = wayOf(middle, max(near, 0.01));
  float longest = max(length(way), length(wayOf(middle, behind)));
  float kind = (partly ? 2.0 : 1.0) * (behind > BEHIND ? -1.0 : 1.0);
  outReach = near < BEHIND ? vec4(blurOf(near), blurOf(far), longest, kind) : vec4(0.0, 0.0, longest, 0.0);
  outNear = vec4(near, behind, way);
}
