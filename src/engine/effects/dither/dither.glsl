// Noise of triangular distribution, each channel by itself, against bands in dark gradients.
uniform float effect_steps;       // code values of 8 bits
void effect_apply(inout vec3 c, inout float gain) {
  uvec4 h = pcg4d(uvec4(uvec2(gl_FragCoord.xy), uFrame, 72u));
  // the difference of two even ones, of 16 bits each
  c += (vec3(h.xyz & 0xffffu) - vec3(h.xyz >> 16u)) * (effect_steps / (255.0 * 65536.0));
}
