// Darker towards the corners, as the square of the distance from the middle and its square (natural and mechanical
// vignetting of a lens together; a fit by eye, no published source).
uniform float effect_amount;
void effect_apply(inout vec3 c, inout float gain) {
  vec2 d = (vUv - 0.5) * uPicture / length(uPicture) * 2.0;
  float r2 = dot(d, d);
  gain *= mix(1.0, (1.0 - 0.75 * r2) * (1.0 - 0.25 * r2), effect_amount);
}
