// Grading of what a display shows, 0 to 1 a channel: lift, gamma and gain, contrast about a pivot, saturation. Common practice, no
// published source; each leaves colours as they are at 0, 1, 1, 1, 1 and 0.
// @export graded

// lift raises the dark and leaves white, gain scales and leaves black, gamma bends what is between. contrast bends both sides of the
// pivot, so that black, pivot and white stay; dull: how much more saturated what is dull becomes, -1 to 1.
void graded(vec3 c, vec3 lift, vec3 gamma, vec3 gain, float contrast, float pivot, float saturation, float dull, out vec3 result) {
  vec3 x = max(gain * (c + lift * (1.0 - c)), vec3(0.0));
  // a loop that runs once or not at all: without a graphics card a condition would be worked out for every pixel
  int gammas = abs(gamma.x - 1.0) + abs(gamma.y - 1.0) + abs(gamma.z - 1.0) > 0.0 ? 1 : 0;
  for (int i = 0; i < gammas; i++) x = pow(x, 1.0 / gamma);
  vec3 above = step(vec3(pivot), x);
  vec3 room = mix(vec3(pivot), vec3(1.0 - pivot), above);
  vec3 bent = room * pow(max(mix(x, 1.0 - x, above), vec3(0.0)) / room, vec3(contrast));
  // what is over white stays over it
  x = mix(bent, 1.0 - bent, above) + max(x - 1.0, vec3(0.0));
  float y = dot(x, vec3(0.2126, 0.7152, 0.0722));
  float most = max(max(x.x, x.y), x.z);
  float least = min(min(x.x, x.y), x.z);
  float pure = (most - least) / max(most, 1e-4);
  result = max(y + (x - y) * (saturation * (1.0 + dull * (1.0 - pure))), vec3(0.0));
}
