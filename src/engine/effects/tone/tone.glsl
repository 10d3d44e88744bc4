// From linear light to encoded sRGB: exposure, a curve, saturation.
uniform float effect_exposure;     // factor
uniform int effect_curve;          // an effect_curve_…
uniform float effect_saturation;

vec3 effect_curved(vec3 x) {
  if (effect_curve == effect_curve_STRAIGHT) return x;
  if (effect_curve == effect_curve_DEEP) {
    vec3 y = x * x * (1.6 / (x + 0.28)) ;
    return 1.0 - exp(-y);
  }
  return 1.0 - exp(-x * 1.25);
}

vec3 effect_display(vec3 c) {
  return mix(c * 12.92, 1.055 * pow(max(c, vec3(0.0)), vec3(1.0 / 2.4)) - 0.055, step(vec3(0.0031308), c));
}

void effect_apply(inout vec3 c, inout float gain) {
  c *= effect_exposure * gain;
  gain = 1.0;
  // highlights keep their colour before they burn: the curve works on the brightest channel, then lets white in
  float peak = max(max(c.r, c.g), c.b);
  vec3 even = effect_curved(vec3(peak)) * (c / max(peak, 1e-6));
  vec3 each = effect_curved(c);
  c = mix(even, each, smoothstep(0.4, 4.0, peak));
  c = max(mix(vec3(dot(c, vec3(0.2126, 0.7152, 0.0722))), c, effect_saturation), 0.0);
  c = effect_display(min(c, 1.0));
}
