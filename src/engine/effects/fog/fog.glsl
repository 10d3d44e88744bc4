// Fog by depth, after the fact. Needs what the frame holds of it: channels/slots.ts.
uniform sampler2D effect_far;
uniform int effect_of;     // of its four numbers
uniform vec3 effect_colour;

void effect_apply(inout vec3 c, inout float gain) {
  c = mix(c * gain, effect_colour, texelFetch(effect_far, ivec2(gl_FragCoord.xy), 0)[effect_of]);
  gain = 1.0;
}
