// Colours by brightness. Black and white have theirs in the middles of the outermost pixels.
uniform sampler2D effect_colours;

void effect_apply(inout vec3 c, inout float gain) {
  float y = clamp(dot(c, vec3(0.2126, 0.7152, 0.0722)), 0.0, 1.0);
  c = texture(effect_colours, vec2((y * 255.0 + 0.5) / 256.0, 0.5)).rgb;
}
