// Bands of the picture moved aside, red and blue apart; by chance, anew in every state of a burst. Needs held.glsl.
uniform int effect_state;    // 0: none
uniform int effect_bands;
uniform uint effect_chance;
uniform float effect_shift;  // shares of the width
uniform float effect_split;
void effect_apply(inout vec3 c, inout float gain) {
  // a loop, because without a graphics card one that nobody needs is left out
  for (int i = 0; i < min(effect_state, 1); i++) {
    uint band = uint(floor(vUv.y * float(effect_bands)));
    uvec4 h = pcg4d(uvec4(band, uint(effect_state), effect_chance, 82u));
    float aside = unit(h.x) < 0.34 ? (unit(h.y) * 2.0 - 1.0) * effect_shift : 0.0;
    float apart = unit(pcg4d(uvec4(uint(effect_state), effect_chance, 83u, 0u)).x) * effect_split;
    vec2 at = vUv + vec2(aside, 0.0);
    vec3 moved = vec3(
      texture(uSource, heldPlace(at - vec2(apart, 0.0))).r,
      texture(uSource, heldPlace(at)).g,
      texture(uSource, heldPlace(at + vec2(apart, 0.0))).b);
    // what stays is left to the last bit
    c = aside == 0.0 && apart == 0.0 ? c : moved;
  }
}
