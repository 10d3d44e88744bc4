// Blocks of the picture that show another place of it, by chance, anew in every state of a burst; pairs of blocks side by side go together now
// and then. Needs held.glsl.
uniform int effect_state;    // 0: none
uniform uint effect_chance;
uniform vec2 effect_side;    // of a block, shares of width and height
uniform vec2 effect_shift;
uniform float effect_share;
uniform float effect_coarse;
uniform float effect_dots;
void effect_apply(inout vec3 c, inout float gain) {
  // a loop, because without a graphics card one that nobody needs is left out
  for (int i = 0; i < min(effect_state, 1); i++) {
    vec2 block = floor(vUv / effect_side);
    uvec4 pair = pcg4d(uvec4(uint(block.x * 0.5), uint(block.y), uint(effect_state), effect_chance));
    if (unit(pair.w) < 0.4) block.x = floor(block.x * 0.5) * 2.0;
    uvec4 h = pcg4d(uvec4(uint(block.x), uint(block.y), uint(effect_state) * 2u + 1u, effect_chance + 84u));
    bool moves = unit(h.x) < effect_share;
    vec2 by = (vec2(unit(h.y), unit(h.z)) * 2.0 - 1.0) * effect_shift;
    vec2 dot_ = effect_side / effect_dots;
    vec2 at = vUv;
    if (unit(h.w) < effect_coarse) at = (floor(vUv / dot_) + 0.5) * dot_;
    // what stays is left to the last bit
    if (moves) c = texture(uSource, heldPlace(at + by)).rgb;
  }
}
