// A small particle: a bell drawn along its streak, or a disc with a soft edge. The bell (1 - r^2)^2 integrates along a
// line in closed form, so a streak of any length costs the same.
uniform vec4 uLevel;
uniform sampler2D uMatter;   // alpha: depth in metres of what is solid
uniform bool uSolid;
flat in vec4 fCentre;
flat in vec4 fStreak;
flat in vec3 fEnergy;
flat in vec2 fKind;
out vec4 outColour;

// integral of (c - s^2)^2
float along(float s, float c) {
  float s2 = s * s;
  return s * (c * c + s2 * (s2 * 0.2 - c * 0.66666667));
}

void main() {
  vec2 at = gl_FragCoord.xy;
  if (uSolid && texelFetch(uMatter, ivec2(at), 0).a < fKind.y) discard;
  float re = fCentre.z;
  vec2 d = (at - fCentre.xy) / re;
  vec2 streak = fStreak.xy / re;
  float len = max(length(streak), 0.02);
  vec2 way = streak / len;
  float x = d.x * way.y - d.y * way.x;
  if (length(streak) < 0.02) { way = vec2(1.0, 0.0); x = d.y; }
  float c = 1.0 - x * x;
  if (c <= 0.0) discard;
  float y = dot(d, way);
  float root = sqrt(c);
  float low = clamp(y - len * 0.5, -root, root);
  float high = clamp(y + len * 0.5, -root, root);
  float bell = 3.0 * (along(high, c) - along(low, c)) / len;
  float disc = (high - low) / len;
  outColour = vec4(fEnergy * mix(disc, bell, fKind.x), 0.0);
}
