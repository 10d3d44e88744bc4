// Exposure, tone curve, saturation, vignette, grain, dither, sRGB. Needs random/hash.glsl.
uniform sampler2D uPictureLight;
uniform sampler2D uGlow;
uniform bool uHasGlow;
uniform float uExposure;     // factor
uniform int uCurve;          // 0 soft shoulder, 1 deep contrast, 2 straight
uniform float uSaturation;
uniform float uVignette;
uniform float uGrain;
uniform float uGrainCell;    // pixels
uniform float uDither;       // code values
uniform uint uFrame;         // frame index within the lap: grain and dither repeat with it
uniform vec2 uPicture;
in vec2 vUv;
out vec4 outColour;

vec3 curve(vec3 x) {
  if (uCurve == 2) return x;
  if (uCurve == 1) {
    vec3 y = x * x * (1.6 / (x + 0.28)) ;
    return 1.0 - exp(-y);
  }
  return 1.0 - exp(-x * 1.25);
}

vec3 toDisplay(vec3 c) {
  return mix(c * 12.92, 1.055 * pow(max(c, vec3(0.0)), vec3(1.0 / 2.4)) - 0.055, step(vec3(0.0031308), c));
}

void main() {
  vec3 c = texture(uPictureLight, vUv).rgb;
  if (uHasGlow) c += texture(uGlow, vUv).rgb;
  vec2 d = (vUv - 0.5) * uPicture / length(uPicture) * 2.0;
  float r2 = dot(d, d);
  c *= uExposure * mix(1.0, (1.0 - 0.75 * r2) * (1.0 - 0.25 * r2), uVignette);
  // highlights keep their colour before they burn: the curve works on the brightest channel, then lets white in
  float peak = max(max(c.r, c.g), c.b);
  vec3 even = curve(vec3(peak)) * (c / max(peak, 1e-6));
  vec3 each = curve(c);
  c = mix(even, each, smoothstep(0.4, 4.0, peak));
  c = max(mix(vec3(dot(c, vec3(0.2126, 0.7152, 0.0722))), c, uSaturation), 0.0);
  c = toDisplay(min(c, 1.0));
  uvec2 px = uvec2(gl_FragCoord.xy);
  if (uGrain > 0.0) {
    vec2 g = gl_FragCoord.xy / max(uGrainCell, 1.0);
    uvec2 cell = uvec2(g);
    uvec4 h = pcg4d(uvec4(cell, uFrame, 71u));
    float n = unit(h.x) + unit(h.y) + unit(h.z) - 1.5;
    float luma = dot(c, vec3(0.299, 0.587, 0.114));
    c += n * uGrain * 0.16 * (0.12 + 0.88 * sqrt(luma)) * (1.0 - luma * 0.7);
  }
  if (uDither > 0.0) {
    uvec4 h = pcg4d(uvec4(px, uFrame, 72u));
    uvec4 k = pcg4d(uvec4(px, uFrame, 73u));
    c += (vec3(unit(h.x), unit(h.y), unit(h.z)) - vec3(unit(k.x), unit(k.y), unit(k.z))) * (uDither / 255.0);
  }
  outColour = vec4(clamp(c, 0.0, 1.0), 1.0);
}
