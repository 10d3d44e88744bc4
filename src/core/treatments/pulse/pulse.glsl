// Brightness and size breathing, in step or in waves through the layer.
// @choice pulseBy together chance along outward order
// @kernel pulse pulseElement key order weight position
// @include ../../random/hash.glsl
// @include ../../noise/turn.glsl
// @include ../../space/route.glsl

// amount: share of the brightness and, times grow, of the size; by: where in its beat an element is: 0 all together, 1 by
// chance, 2 along the route (waves per span, or once round), 3 outwards from pivot, 4 by order; sharpness: 1 a sine, higher a brief flash;
// beats: whole per lap; lap: time in laps.
void pulseElement(uint key, float order, float weight, vec3 position, uint seed, float amount, int by, vec3 pivot,
                  float span, float waves, float sharpness, float glow, float grow, int beats, float lap,
                  vec4 course, sampler2D track,
                  inout float size, inout float light) {
  float at = 0.0;
  if (by == PULSE_BY_CHANCE) at = unit(pcg4d(uvec4(key, seed, 44u, 0u)).x);
  float way = wayAlong(position, span, course, track, by == PULSE_BY_ALONG ? 1 : 0);
  if (by == PULSE_BY_ALONG) at = way * waves;
  if (by == PULSE_BY_OUTWARD) at = length(position - pivot) / span * waves;
  if (by == PULSE_BY_ORDER) at = order * waves;
  float s = 0.5 + 0.5 * sinTurn(fract(lap * float(beats)) - at);
  float beat = pow(s, sharpness);
  float much = amount * weight;
  light *= max(0.0, 1.0 + much * glow * (beat * 2.0 - 1.0));
  size *= max(0.0, 1.0 + much * grow * (beat * 2.0 - 1.0));
}
