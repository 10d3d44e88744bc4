// Elements arrive one after another: each goes its own way from 0 to 1 within its share of the progress.
// @choice staggerBy order chance along outward
// @choice staggerEase even smooth settle over rebound
// @kernel stagger staggerElement key order weight position
// @include ../../random/hash.glsl
// @include ../../space/rotation.glsl
// @include ../../space/route.glsl

// 0 to 1 with the shape of the ease: 0 even, 1 smooth, 2 fast then settling slowly, 3 over the mark and back, 4 rebounding
float staggerEase(float t, int ease) {
  if (ease == STAGGER_EASE_SMOOTH) return t * t * (3.0 - 2.0 * t);
  float r = 1.0 - t;
  if (ease == STAGGER_EASE_SETTLE) return 1.0 - r * r * r * r;
  if (ease == STAGGER_EASE_OVER) return 1.0 + r * r * (2.70158 * -r + 1.70158);
  if (ease == STAGGER_EASE_REBOUND) {
    // three falling parabolas, each a half as long and a quarter as high
    float a = t * 2.75;
    if (a < 1.0) return a * a;
    if (a < 2.0) return 1.0 - 4.0 * 0.25 * (a - 1.0) * (2.0 - a);
    a = (a - 2.0) / 0.75;
    return 1.0 - a * (1.0 - a) * 0.25;
  }
  return t;
}

// amount: progress, 0 none .. 1 all there; by: 0 order, 1 chance, 2 along the route, 3 outwards from pivot; span: metres
// that count as the whole way; overlap: 0 strictly one by one .. 1 all at once; grow: 1 from no size; fade: 1 from
// nothing; soft: metres that its blur is wide at first; from: metres it comes from; turns: it makes on the way, about its own upright axis.
void staggerElement(uint key, float order, float weight, uint seed, float amount, int by, vec3 pivot, float span,
                    float overlap, int ease, int backward, float grow, float fadeIn, float soft, vec3 from, float turns,
                    vec4 course, sampler2D track,
                    inout vec3 position, inout vec4 rotation, inout float size, inout float fade, inout float blur) {
  float rank = order;
  if (by == STAGGER_BY_CHANCE) rank = unit(pcg4d(uvec4(key, seed, 43u, 0u)).x);
  float way = wayAlong(position, span, course, track, by == STAGGER_BY_ALONG ? 1 : 0);
  if (by == STAGGER_BY_ALONG) rank = fract(way);
  if (by == STAGGER_BY_OUTWARD) rank = clamp(length(position - pivot) / span, 0.0, 1.0);
  if (backward == 1) rank = 1.0 - rank;
  float width = max(overlap, 1e-3);
  float t = clamp((amount - rank * (1.0 - width)) / width, 0.0, 1.0);
  float there = mix(1.0, staggerEase(t, ease), weight);
  size *= mix(1.0, max(there, 0.0), grow);
  fade *= mix(1.0, clamp(there, 0.0, 1.0), fadeIn);
  blur += max(0.0, 1.0 - there) * soft;
  position += from * (1.0 - there);
  rotation = quatTimes(rotation, quatAbout(vec3(0.0, 1.0, 0.0), (there - 1.0) * turns));
}
