// The picture joined with those of earlier moments.
uniform sampler2D effect_trail;
uniform bool effect_brightest;  // whichever is brighter; else their sum
uniform float effect_together;     // that is multiplied by this
void effect_apply(inout vec3 c, inout float gain) {
  vec3 own = c * gain;
  vec3 trail = texelFetch(effect_trail, ivec2(gl_FragCoord.xy), 0).rgb;
  c = effect_brightest ? max(own, trail) : (own + trail) * effect_together;
  gain = 1.0;
}
