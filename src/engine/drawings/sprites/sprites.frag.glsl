// The cell's share of the sprite at this pixel (lens sampling, formulas 4 to 6). Needs frame/hiding.glsl.
uniform vec4 uAperture;
uniform float uLevel;
flat in vec4 fCentre;
flat in vec4 fCell;
flat in vec4 fStreak;
flat in vec3 fEnergy;
flat in vec4 fKind;
uniform int uSprite;         // what a particle in focus looks like, a SPRITE_…
uniform sampler2D uSpritePicture;
uniform vec3 uSpriteGain;    // by which a picture's light becomes that of a plain disc of its mean colour
out vec4 outColour;

// share of a cell's row: hard edges, or hats that overlap by one cell and still sum to one
float share(float x, float index, float cells) {
  float y = x * cells - index;
  bool first = index < 0.5;
  bool last = index > cells - 1.5;
  if (uAperture.w < 0.5) return (first || y >= 0.0) && (last || y < 1.0) ? 1.0 : 0.0;
  float low = first ? 1.0 : clamp(y + 0.5, 0.0, 1.0);
  float high = last ? 1.0 : clamp(1.5 - y, 0.0, 1.0);
  return low * high;
}

// the sprite's own form, which the lens washes out
float form(vec2 v) {
  vec2 a = abs(v);
  float r = length(v);
  if (uSprite == SPRITE_RING) return smoothstep(0.52, 0.68, r) * 1.9;
  if (uSprite == SPRITE_STAR) return exp(-9.0 * (a.x * a.y * 14.0 + r * r * 0.25)) * 2.6;
  return exp(-60.0 * a.y * a.y - 2.0 * a.x * a.x) * 4.2;
}

// the picture upright in the square within the rim, at the detail that a pixel shows
vec3 picture(vec2 v, float re) {
  vec2 at = v * fCentre.w * 0.70710678 + 0.5;
  if (any(lessThan(at, vec2(0.0))) || any(greaterThan(at, vec2(1.0)))) return vec3(0.0);
  float texels = float(textureSize(uSpritePicture, 0).y) / (1.41421356 * re);
  return textureLod(uSpritePicture, vec2(at.x, 1.0 - at.y), log2(max(1.0, texels))).rgb * uSpriteGain;
}

vec3 profile(vec2 v, float re) {
  float round_ = length(v);
  float q = fStreak.w > 0.02 && (uAperture.x > 2.5 || uAperture.z != 1.0)
    ? mix(round_, apertureGauge(v, uAperture.x, uAperture.y, uAperture.z), fStreak.w) : round_;
  float edge = clamp(0.5 + (1.0 - q) * re, 0.0, 1.0);
  float k = max(0.0, 1.0 - q * q);
  float plain = mix(edge, 3.0 * k * k, fKind.x);
  if (uSprite == SPRITE_DISC || fStreak.w > 0.9) return vec3(plain);
  vec3 own = uSprite == SPRITE_PICTURE ? picture(v, re) : vec3(step(round_, 1.0) * form(v));
  return mix(own, vec3(plain), smoothstep(0.0, 0.9, fStreak.w));
}

void main() {
  vec2 at = gl_FragCoord.xy;
  float seen = seenPast(ivec2(at / uLevel), fKind.y);
  if (seen <= 0.0) discard;
  vec2 d = at - fCentre.xy;
  d -= fKind.zw * dot(fKind.zw, d);
  float re = fCentre.z;
  int taps = int(fStreak.z);
  bool cut = fCell.z * fCell.w > 1.0;
  vec3 sum = vec3(0.0);
  for (int i = 0; i < 12; i++) {
    if (i >= taps) break;
    float along = (float(i) + 0.5) / float(taps) - 0.5;
    vec2 v = (d - fStreak.xy * along) * (fCentre.w / re);
    vec3 p = profile(v, re);
    if (p == vec3(0.0)) continue;
    if (cut) {
      vec2 s = apertureSquare(v, uAperture.x, uAperture.y, uAperture.z);
      p *= share(s.x, fCell.x, fCell.z) * share(s.y, fCell.y, fCell.w);
    }
    sum += p;
  }
  if (sum == vec3(0.0)) discard;
  outColour = vec4(fEnergy * (sum * (seen / float(taps))), 0.0);
}
