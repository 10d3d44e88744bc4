// A place of the picture, as it is within; beyond its sides it is mirrored there.
vec2 heldPlace(vec2 at) {
  vec2 t = at - 2.0 * floor(at * 0.5);
  return min(t, 2.0 - t);
}
