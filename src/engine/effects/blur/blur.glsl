// The picture as it was drawn out beforehand.
uniform int effect_blurs;   // 0 or 1
uniform sampler2D effect_blurred;
void effect_apply(inout vec3 c, inout float gain) {
  for (int i = 0; i < effect_blurs; i++) c = texelFetch(effect_blurred, ivec2(gl_FragCoord.xy), 0).rgb;
}
