// Curves of code values: one for all, then one a channel. Needs colour/lookup.glsl.
uniform vec4 effect_knots[8];

void effect_apply(inout vec3 c, inout float gain) {
  for (int i = 0; i < 3; i++) {
    float v = curveAt(effect_knots[0], effect_knots[1], c[i]);
    c[i] = curveAt(effect_knots[2 + 2 * i], effect_knots[3 + 2 * i], v);
  }
}
