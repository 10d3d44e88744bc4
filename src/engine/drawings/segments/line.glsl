// What a line lies between. Needs frame/view.glsl. With LINKS defined a line joins points of two sets, which may be one, is
// coloured by how near they are, and fades out at the limit. With SIZED defined a line is at each end as wide as the element there is large.
uniform sampler2D uLines;    // of every line: the numbers of its elements; with LINKS also closeness when the shutter opens and closes, and then tiles the second is moved by
uniform sampler2D uOpenPlace;
uniform sampler2D uClosePlace;
uniform sampler2D uOpenLook;
uniform mat4 uViewOpen;      // when the shutter opens and closes
uniform mat4 uViewClose;
uniform float uTile;
#ifdef LINKS
uniform sampler2D uOpenPlaceB;
uniform sampler2D uClosePlaceB;
uniform sampler2D uOpenLookB;
uniform float uThickness;    // share of the picture's height
#else
uniform float uWidth;        // metres
#endif

const float NEAR = 0.03;     // metres: what is nearer is cut off

struct Line { ivec2 a; ivec2 b; vec3 openA; vec3 openB; vec3 closeA; vec3 closeB; vec2 closeness; vec2 radii; };

ivec2 rowsOf(int i) { return ivec2(i & 1023, i >> 10); }

Line lineOf(int index, int repetition) {
  Line line;
  vec3 moved = vec3(0.0, 0.0, -float(repetition) * uTile);
#ifdef LINKS
  vec4 ends = texelFetch(uLines, rowsOf(index * 2), 0);
  line.a = rowsOf(int(ends.x));
  line.b = rowsOf(int(ends.y));
  line.closeness = ends.zw;
  vec3 movedB = moved + vec3(0.0, 0.0, texelFetch(uLines, rowsOf(index * 2 + 1), 0).x * uTile);
  line.openB = texelFetch(uOpenPlaceB, line.b, 0).xyz + movedB;
  line.closeB = texelFetch(uClosePlaceB, line.b, 0).xyz + movedB;
#else
  vec4 ends = texelFetch(uLines, rowsOf(index), 0);
  line.a = rowsOf(int(ends.x));
  line.b = rowsOf(int(ends.y));
  line.closeness = vec2(1.0);
  vec4 endB = texelFetch(uOpenPlace, line.b, 0);
  line.openB = endB.xyz + moved;
  line.closeB = texelFetch(uClosePlace, line.b, 0).xyz + moved;
#endif
  vec4 endA = texelFetch(uOpenPlace, line.a, 0);
  line.openA = endA.xyz + moved;
#ifdef LINKS
  line.radii = vec2(0.0);
#else
  line.radii = vec2(endA.w, endB.w);
#endif
  line.closeA = texelFetch(uClosePlace, line.a, 0).xyz + moved;
  return line;
}

// Cuts off what is too near. @returns whether anything is left
bool cut(inout vec3 a, inout vec3 b) {
  if (a.z > -NEAR && b.z > -NEAR) return false;
  if (a.z > -NEAR) a = mix(b, a, (b.z + NEAR) / (b.z - a.z));
  if (b.z > -NEAR) b = mix(a, b, (a.z + NEAR) / (a.z - b.z));
  return true;
}

// Cuts off what is behind what mirrors it. @returns whether anything is left
bool cutByMirror(inout vec3 a, inout vec3 b) {
  float atA = beforeMirror(a);
  float atB = beforeMirror(b);
  if (max(atA, atB) < 0.0) return false;
  if (atA < 0.0) a = mix(b, a, atB / (atB - atA));
  if (atB < 0.0) b = mix(a, b, atA / (atA - atB));
  return true;
}

// the least blur along a line, pixels
float leastBlur(float ra, float rb) { return ra * rb < 0.0 ? 0.0 : min(abs(ra), abs(rb)); }

// half of its width at a depth, pixels. radius: metres of the element there
float halfWidth(float depth, float radius) {
#ifdef LINKS
  return 0.5 * uThickness * uHigh;
#else
#ifdef SIZED
  return radius * uPixelFocal / over(depth);
#else
  return 0.5 * uWidth * uPixelFocal / over(depth);
#endif
#endif
}
