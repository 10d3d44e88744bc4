// A small particle: a bell drawn along its streak, or a disc with a soft edge. The bell (1 - r^2)^2 integrates along a
// line in closed form, so a streak of any length costs the same. Needs frame/hiding.glsl.
uniform float uLevel;
flat in vec4 fCentre;
flat in vec4 fStreak;
flat in vec3 fEnergy;
flat in vec4 fKind;
out vec4 outColour;

// integral of (c - s^2)^2
float along(float s, float c) {
  float s2 = s * s;
  return s * (c * c + s2 * (s2 * 0.2 - c * 0.66666667));
}

void main() {
  vec2 at = gl_FragCoord.xy;
  float seen = seenPast(ivec2(at), fKind.y);
  if (seen <= 0.0) discard;
  float re = fCentre.z;
  vec2 d = (at - fCentre.xy) / re;
  d -= fKind.zw * dot(fKind.zw, d);
  vec2 streak = fStreak.xy / re;
  float run = length(streak);
  float len = max(run, 0.02);
  vec2 way = run > 0.02 ? streak / run : vec2(1.0, 0.0);
  float x = d.x * way.y - d.y * way.x;
  float y = dot(d, way);
  float c = max(0.0, 1.0 - x * x);
  float root = sqrt(c);
  float low = clamp(y - len * 0.5, -root, root);
  float high = clamp(y + len * 0.5, -root, root);
  float bell = 3.0 * (along(high, c) - along(low, c)) / len;
  // a disc that hardly moves gets its soft edge from the distance, one that moves from the streak itself
  float standing = clamp(0.5 + (1.0 - length(d)) * re / 1.6, 0.0, 1.0);
  float disc = mix(standing, (high - low) / len, min(1.0, run * re / 1.5));
  float profile = mix(disc, bell, fKind.x);
  if (profile <= 0.0) discard;
  outColour = vec4(fEnergy * (profile * seen), 0.0);
}
