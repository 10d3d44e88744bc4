// Which target a line is drawn into, 1 the one of full size; 0 where it is not in sight. Needs frame/view.glsl, seen/sides.glsl and line.glsl.
uniform mat4 uViewMid;

// whether an end that goes from a through m to c is outside one side of what the lens sees, by so many metres or more
bool beyond(vec3 a, vec3 m, vec3 c, vec3 side, float back, float by) {
  return outside(a, controlOf(a, m, c), c, side, back, by + 0.1 * distance(a, c));
}

int classOf(ivec2 texel, int repetition) {
  Line line = lineOf(texel.y * 1024 + texel.x, repetition);
#ifdef LINKS
  if (max(line.closeness.x, line.closeness.y) <= 0.0) return 0;
  if (texelFetch(uOpenLook, line.a, 0).a * texelFetch(uOpenLookB, line.b, 0).a <= 0.0) return 0;
#else
  if (texelFetch(uOpenLook, line.a, 0).rgb + texelFetch(uOpenLook, line.b, 0).rgb == vec3(0.0)) return 0;
#endif
  vec3 a0 = (uViewOpen * vec4(line.openA, 1.0)).xyz;
  vec3 b0 = (uViewOpen * vec4(line.openB, 1.0)).xyz;
  vec3 a = (uViewMid * vec4(mix(line.openA, line.closeA, 0.5), 1.0)).xyz;
  vec3 b = (uViewMid * vec4(mix(line.openB, line.closeB, 0.5), 1.0)).xyz;
  vec3 a2 = (uViewClose * vec4(line.closeA, 1.0)).xyz;
  vec3 b2 = (uViewClose * vec4(line.closeB, 1.0)).xyz;
  // metres that blur, width and a soft edge reach at the depth where they reach farthest
  float deep = -min(min(min(a0.z, b0.z), min(a2.z, b2.z)), min(a.z, b.z));
  float near = -max(max(max(a0.z, b0.z), max(a2.z, b2.z)), max(a.z, b.z));
  float by = lensReach(max(near, 0.0), deep) + (halfWidth(max(near, NEAR), max(line.radii.x, line.radii.y)) + 4.0) * over(max(deep, NEAR)) / uPixelFocal;
  for (int k = 0; k < SIDES; k++) {
    vec3 side;
    float back;
    sideOf(k, side, back);
    if (beyond(a0, a, a2, side, back, k < 2 ? 0.0 : by) && beyond(b0, b, b2, side, back, k < 2 ? 0.0 : by)) return 0;
  }
  // of one that is seen at the borders of the shutter only, all that is near is a blur
  if (!cut(a, b)) return LEVELS;
  float least = leastBlur(blurPx(-a.z), blurPx(-b.z));
  int level = 1;
  for (float most = CRISP_PX; level < LEVELS && least >= most; most *= 2.0) level++;
  return level;
}
