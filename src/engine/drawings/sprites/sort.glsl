// Which program draws a particle, and into which target: 1 the one for small ones, 2.. the other by the size of the blur.
// Needs lens/aperture.glsl, frame/view.glsl and particle.glsl.
uniform ivec2 uKept;   // of so many particles that follow one another so many are drawn, the first; 0 0 for all

int classOf(ivec2 texel, int repetition) {
  if (uKept.x < uKept.y && (texel.y * 1024 + texel.x) % uKept.y >= uKept.x) return 0;
  if (texelFetch(uOpenLook, texel, 0).rgb == vec3(0.0)) return 0;
  Particle p = particle(texelFetch(uOpenPlace, texel, 0), texelFetch(uClosePlace, texel, 0), repetition);
  float depth = p.s1.z;
  if (depth < 0.02 || p.here <= 0.0) return 0;
  // the path is the parabola through three places, and within the polygon that controls it; every streak ends within half of it
  vec2 control = 2.0 * p.s1.xy - 0.5 * (p.s0.xy + p.s2.xy);
  vec2 reach = vec2(p.re * longer(longWay(p.s1.xy - uPicture * 0.5)) * (widest() * 1.05 + 0.25) + 12.0) + 0.5 * abs(p.s2.xy - p.s0.xy);
  vec2 low = min(min(p.s0.xy, p.s2.xy), min(p.s1.xy, control)) - reach;
  vec2 high = max(max(p.s0.xy, p.s2.xy), max(p.s1.xy, control)) + reach;
  if (any(lessThan(high, vec2(0.0))) || any(greaterThan(low, uPicture))) return 0;
  if (p.re < SMALL_PX) return 1;
  // a form of its own has finer detail than its radius, as far as the lens leaves it
  float detail = uSprite == SPRITE_DISC ? p.re : min(p.re, sqrt(p.blur * p.blur + 0.02 * p.own * p.own));
  return detail < CRISP_PX ? 2 : detail < 2.0 * CRISP_PX ? 3 : detail < 4.0 * CRISP_PX ? 4 : 5;
}
