// How a pixel is spread at few passes: by the lens, and by the way of the camera while the shutter is open. Needs
// frame/view.glsl.
uniform mat4 uToOpen;    // from the view of this pass to that when the shutter opens, and when it closes
uniform mat4 uToClose;
uniform vec3 uSpread;    // share of the lens along each of its sides and of the shutter that a pass stands for; most blur, pixels

const float BEHIND = 1e8;   // metres: where there is no matter
const float NEARER = 1.05;  // times as far is farther, and not another place of the same

float blurOf(float depth) { return clamp(blurPx(depth) * uSpread.x, -uSpread.z, uSpread.z); }

vec2 seenAt(vec3 v) { return v.xy * (uPixelFocal / over(max(-v.z, 0.01))); }

// pixels that what is at a pixel goes, from the opening to the closing of the pass's part of the shutter
vec2 wayOf(vec2 px, float depth) {
  vec4 v = vec4((px - 0.5 * uPicture) * (over(depth) / uPixelFocal), -depth, 1.0);
  vec2 way = (seenAt((uToClose * v).xyz) - seenAt((uToOpen * v).xyz)) * uSpread.y;
  return way * min(1.0, uSpread.z / max(length(way), 1e-3));
}
