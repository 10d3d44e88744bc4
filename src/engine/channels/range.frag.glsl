// A picture in greys, dimmed; what has channels at their greatest code value in red, paler the more have, and what has all at their least in blue.
uniform sampler2D uPicture;
out vec4 outColour;

void main() {
  vec3 c = texelFetch(uPicture, ivec2(gl_FragCoord.xy), 0).rgb;
  // what rounds to 255 or to 0
  vec3 full = step(254.5 / 255.0, c);
  float count = full.r + full.g + full.b;
  float none = 1.0 - step(0.5 / 255.0, max(max(c.r, c.g), c.b));
  vec3 shown = vec3(0.6 * dot(c, vec3(0.2126, 0.7152, 0.0722)));
  shown = mix(shown, mix(vec3(1.0, 0.25, 0.12), vec3(1.0, 0.9, 0.75), (count - 1.0) / 2.0), step(0.5, count));
  outColour = vec4(mix(shown, vec3(0.1, 0.3, 0.85), none), 1.0);
}
