// Where in the picture an effect acts, 0 to 1.
// @export ellipseMask
// @export lightMask
// @export nearMask
// @export fogMask

// In an ellipse. at and middle: places, shares of the picture from its lower left; radii: shares of its width and height; soft: share
// of the way from the middle to the rim over which it fades.
float ellipseMask(vec2 at, vec2 middle, vec2 radii, float soft) {
  vec2 d = (at - middle) / max(radii, vec2(1e-4));
  float out_ = sqrt(dot(d, d));
  return 1.0 - smoothstep(1.0 - max(soft, 0.004), 1.0, out_);
}

// Where it is bright: none of what has so little luminance, all of what has so much. Weights of ITU-R BT.709.
float lightMask(vec3 c, float none, float all) {
  float y = dot(c, vec3(0.2126, 0.7152, 0.0722));
  return smoothstep(none, max(all, none + 1e-4), y);
}

// What is near: all at `from` metres, none from `to` metres on.
float nearMask(float depth, float from, float to) { return 1.0 - smoothstep(from, max(to, from + 1e-4), depth); }

// Fog that has gathered at a depth: none at `from` metres, 1 - 1/e of it `distance` metres farther (Beer and Lambert's law).
float fogMask(float depth, float from, float distance) { return 1.0 - exp(-max(depth - from, 0.0) / max(distance, 1e-4)); }
