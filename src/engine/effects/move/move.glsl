// The picture moved, turned and sized about its middle. Needs held.glsl.
uniform vec2 effect_by;    // shares of width and height
uniform vec2 effect_turn;  // cosine and sine
uniform float effect_size;
uniform int effect_moves;  // 0 or 1: at rest it is left to the last bit
void effect_apply(inout vec3 c, inout float gain) {
  for (int i = 0; i < effect_moves; i++) {
    vec2 d = (vUv - 0.5 - effect_by) * uPicture / effect_size;
    d = vec2(d.x * effect_turn.x + d.y * effect_turn.y, d.y * effect_turn.x - d.x * effect_turn.y);
    c = texture(uSource, heldPlace(0.5 + d / uPicture)).rgb;
  }
}
