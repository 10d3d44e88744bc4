// How often the cells of a block are halved in number, 1 not at all; 0 where it is not in sight. Its vertices are looked at along
// three lines each way. Needs frame/view.glsl, blocks.glsl and seen/sides.glsl.
uniform sampler2D uOpenPlace;
uniform sampler2D uClosePlace;
uniform mat4 uViewOpen;
uniform mat4 uViewMid;
uniform mat4 uViewClose;
uniform float uTile;
uniform float uErrorPx;    // fewer vertices are drawn where what they leave out is less than so many pixels

// what a place between two others is off their line
float off(vec3 a, vec3 between, vec3 b) { return distance(between, 0.5 * (a + b)); }

int classOf(ivec2 texel, int repetition) {
  int block = texel.y * 1024 + texel.x;
  ivec2 middle = vertexOf(block, ivec2(BLOCK / 2));
  vec3 open = texelFetch(uOpenPlace, middle, 0).xyz;
  vec3 shut = texelFetch(uClosePlace, middle, 0).xyz;
  float radius = 0.0;
  // what is left out when every second, fourth and eighth vertex is drawn, of lines across and along
  vec3 lost[2] = vec3[2](vec3(0.0), vec3(0.0));
  for (int line = 0; line < 6; line++) {
    int way = line < 3 ? 0 : 1;
    int at = (line - 3 * way) * BLOCK / 2;
    vec3 p[BLOCK + 1];
    for (int i = 0; i <= BLOCK; i++) {
      p[i] = texelFetch(uOpenPlace, vertexOf(block, way == 0 ? ivec2(i, at) : ivec2(at, i)), 0).xyz;
      radius = max(radius, distance(p[i], open));
    }
    vec3 most = vec3(0.0);
    for (int i = 0; i < BLOCK; i += 2) most.x = max(most.x, off(p[i], p[i + 1], p[i + 2]));
    for (int i = 0; i < BLOCK; i += 4) most.y = max(most.y, off(p[i], p[i + 2], p[i + 4]));
    for (int i = 0; i < BLOCK; i += 8) most.z = max(most.z, off(p[i], p[i + 4], p[i + 8]));
    lost[way] = max(lost[way], most);
  }
  vec3 both = lost[0] + lost[1];
  vec3 errors = vec3(both.x, both.x + both.y, both.x + both.y + both.z);
  // between the lines it may rise as much as along them
  radius += 2.0 * errors.z;
  vec3 offset = vec3(0.0, 0.0, -float(repetition) * uTile);
  vec3 v0 = (uViewOpen * vec4(open + offset, 1.0)).xyz;
  vec3 v1 = (uViewMid * vec4(mix(open, shut, 0.5) + offset, 1.0)).xyz;
  vec3 v2 = (uViewClose * vec4(shut + offset, 1.0)).xyz;
  if (unseen(v0, v1, v2, radius)) return 0;
  float px = uPixelFocal / over(max(-v1.z - radius, 0.05));
  int detail = 1;
  for (int k = 0; k < 3; k++) detail += int(errors[k] * px < uErrorPx && detail == k + 1);
  return detail + 256 * rankOf(-v1.z);
}
