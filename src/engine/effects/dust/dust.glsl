// Specks: at most one in each cell of a grid, whole within it, so that no other cell need be looked at.
uniform float effect_specks;   // share of the cells that have one
uniform vec2 effect_cell;      // shares of width and height
uniform float effect_size;     // of the largest, as a share of a cell's side
uniform float effect_light;
uniform uint effect_turn;
uniform uint effect_chance;
void effect_apply(inout vec3 c, inout float gain) {
  vec2 p = vUv / effect_cell;
  vec2 cell = floor(p);
  uvec4 h = pcg4d(uvec4(uint(cell.x), uint(cell.y), effect_turn, effect_chance));
  uvec4 g = pcg4d(h);
  // few are large
  float r = 0.5 * effect_size * (0.25 + 0.75 * unit(g.x) * unit(g.x));
  vec2 d = p - cell - r - (1.0 - 2.0 * r) * vec2(unit(h.y), unit(h.z));
  // a little longer one way than the other, and a rim as wide as a third of it, or a pixel
  float a = unit(g.y) * 6.28318531;
  d = vec2(d.x * cos(a) + d.y * sin(a), (d.y * cos(a) - d.x * sin(a)) * (1.0 + unit(g.z)));
  float rim = max(0.35 * r, 1.0 / (effect_cell.y * uPicture.y));
  float there = clamp((r - length(d)) / rim, 0.0, 1.0) * (unit(h.x) < effect_specks ? 0.85 : 0.0);
  c = mix(c, vec3(unit(g.w) < effect_light ? 0.92 : 0.02), there);
}
