// Seen from a place whose distance from the middle is r (1 + k r^2) / (1 + k), r = 1 in the corners (the first term of radial
// distortion: Brown, "Decentering Distortion of Lenses", 1966). Needs held.glsl.
uniform float effect_barrel;
void effect_apply(inout vec3 c, inout float gain) {
  vec2 d = vUv - 0.5;
  vec2 px = d * uPicture;
  float r2 = 4.0 * dot(px, px) / dot(uPicture, uPicture);
  // by how much it is farther in, so that none of it leaves every place as it is
  c = texture(uSource, heldPlace(vUv - d * (effect_barrel * (1.0 - r2) / (1.0 + effect_barrel)))).rgb;
}
