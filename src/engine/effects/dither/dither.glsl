// Noise of triangular distribution, each channel by itself, against bands in dark gradients.
uniform float effect_steps;       // code values of 8 bits
void effect_apply(inout vec3 c, inout float gain) {
  if (effect_steps > 0.0) {
    uvec2 px = uvec2(gl_FragCoord.xy);
    uvec4 h = pcg4d(uvec4(px, uFrame, 72u));
    uvec4 k = pcg4d(uvec4(px, uFrame, 73u));
    c += (vec3(unit(h.x), unit(h.y), unit(h.z)) - vec3(unit(k.x), unit(k.y), unit(k.z))) * (effect_steps / 255.0);
  }
}
