// From linear light to encoded sRGB: exposure, a curve, saturation. Needs transfer.glsl.
uniform float effect_exposure;     // factor
uniform int effect_curve;          // an effect_curve_…
uniform float effect_saturation;

vec3 effect_curved(vec3 x) {
  // without a graphics card all of what a condition chooses from is worked out: no exponential stands in one
  vec3 y = effect_curve == effect_curve_DEEP ? x * x * (1.6 / (x + 0.28)) : x * 1.25;
  vec3 bent = 1.0 - exp(-y);
  return effect_curve == effect_curve_STRAIGHT ? x : bent;
}

void effect_apply(inout vec3 c, inout float gain) {
  c *= effect_exposure * gain;
  gain = 1.0;
  // highlights keep their colour before they burn: the curve works on the brightest channel, then lets white in
  float peak = max(max(c.r, c.g), c.b);
  vec3 each = effect_curved(c);
  // the channel that is the peak bends as the peak does
  float bent = max(max(each.r, each.g), each.b);
  vec3 even = c * (bent / max(peak, 1e-6));
  c = mix(even, each, smoothstep(0.4, 4.0, peak));
  c = max(mix(vec3(dot(c, vec3(0.2126, 0.7152, 0.0722))), c, effect_saturation), 0.0);
  c = toCode(min(c, 1.0));
}
