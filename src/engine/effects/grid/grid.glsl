// Cells about the middle of the picture, each in the mean of its light and as much brighter as it is smaller with its gap, as far as a
// display goes. Reckoned in light: a pixel on the rim of a cell is as bright as its share of the cell. Needs transfer.glsl.
uniform float effect_cell;     // pixels
uniform bool effect_round;
uniform float effect_half;     // half of a lit part, in cells
uniform float effect_brighter;

void effect_apply(inout vec3 c, inout float gain) {
  vec2 p = (vUv - 0.5) * uPicture / effect_cell;
  vec2 middle = floor(p) + 0.5;
  vec3 sum = vec3(0.0);
  for (int i = 0; i < 16; i++) {
    vec2 at = middle + (vec2(float(i & 3), float(i >> 2)) - 1.5) * 0.25;
    sum += toLight(texture(uSource, 0.5 + at * effect_cell / uPicture).rgb);
  }
  float lit = 0.0;
  for (int i = 0; i < 4; i++) {
    vec2 q = abs(p - middle + (vec2(float(i & 1), float(i >> 1)) - 0.5) * (0.5 / effect_cell));
    float out_ = effect_round ? length(q) : max(q.x, q.y);
    lit += 0.25 * clamp((effect_half - out_) * effect_cell * 2.0 + 0.5, 0.0, 1.0);
  }
  c = toCode(min(sum * (0.0625 * effect_brighter), 1.0) * lit);
}
