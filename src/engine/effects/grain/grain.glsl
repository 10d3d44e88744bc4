// Grain in cells of a size of its own, least in black and white.
uniform float effect_amount;
uniform float effect_cell;     // pixels
void effect_apply(inout vec3 c, inout float gain) {
  if (effect_amount > 0.0) {
    vec2 g = gl_FragCoord.xy / max(effect_cell, 1.0);
    uvec2 cell = uvec2(g);
    uvec4 h = pcg4d(uvec4(cell, uFrame, 71u));
    float n = unit(h.x) + unit(h.y) + unit(h.z) - 1.5;
    float luma = dot(c, vec3(0.299, 0.587, 0.114));
    c += n * effect_amount * 0.16 * (0.12 + 0.88 * sqrt(luma)) * (1.0 - luma * 0.7);
  }
}
