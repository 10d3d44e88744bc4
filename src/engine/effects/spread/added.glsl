// Light that was gathered beforehand, added.
uniform sampler2D effect_light;
void effect_apply(inout vec3 c, inout float gain) { c += texture(effect_light, vUv).rgb; }
