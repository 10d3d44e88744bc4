// Light from beyond the sides or corners of the picture: a bell of the distance from there, a look of ours without a source.
uniform vec3 effect_light;
uniform ivec2 effect_side;    // along each axis: -1 from the lower end, 1 from the upper, 2 from both, 0 from anywhere
uniform float effect_reach;   // share of the shorter side
void effect_apply(inout vec3 c, inout float gain) {
  vec2 low = vUv;
  vec2 high = 1.0 - vUv;
  vec2 d = vec2(0.0);
  for (int k = 0; k < 2; k++)
    d[k] = effect_side[k] == 0 ? 0.0 : effect_side[k] == 2 ? min(low[k], high[k]) : effect_side[k] < 0 ? low[k] : high[k];
  d *= uPicture / (min(uPicture.x, uPicture.y) * effect_reach);
  c = c * gain + effect_light * exp(-dot(d, d));
  gain = 1.0;
}
