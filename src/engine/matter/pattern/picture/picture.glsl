// A picture, one high. Put on from the front, on the side that a place faces, or rolled about the upright.
uniform mediump sampler2DArray uPatternPicture; // light multiplied by alpha

vec4 pictureAt(vec2 at, vec2 dx, vec2 dy) { return textureGrad(uPatternPicture, vec3(at, 0.0), dx, dy); }
float bright(vec4 c) { return dot(c.rgb, vec3(0.2126, 0.7152, 0.0722)); }

Pattern patternAt(vec3 p, vec3 px, vec3 py, vec3 n) {
  // along which of its own axes a side lies is found from how its place changes, whatever carries it
  vec3 side = abs(cross(px, py));
  vec3 u = vec3(1.0, 0.0, 0.0);
  vec3 v = vec3(0.0, 1.0, 0.0);
  if (uPatternChoice.x == PUT_ON_SIDES) {
    if (side.x > max(side.y, side.z)) u = vec3(0.0, 0.0, 1.0);
    else if (side.y > side.z) v = vec3(0.0, 0.0, 1.0);
  }
  vec2 at = vec2(dot(p, u), dot(p, v));
  vec2 dx = vec2(dot(px, u), dot(px, v));
  vec2 dy = vec2(dot(py, u), dot(py, v));
  if (uPatternChoice.x == PUT_ON_AROUND) {
    float r2 = max(p.x * p.x + p.z * p.z, 1e-6);
    float turn = 1.0 / 6.28318531;
    // once round is a whole number of pictures as wide as they are high there
    float wide = uPatternDrives[1].w;
    float many = max(1.0, floor(sqrt(r2) / (turn * wide) + 0.5)) * wide;
    u = vec3(p.z, 0.0, -p.x) / r2 * turn * many;
    at.x = atan(p.x, p.z) * turn * many;
    dx.x = dot(px, u);
    dy.x = dot(py, u);
  }
  vec2 size = vec2(uPatternDrives[1].w, -1.0);
  at = at / size + 0.5;
  dx /= size;
  dy /= size;
  vec2 out_ = abs(at - 0.5) - 0.5;
  vec2 wide2 = max(abs(dx) + abs(dy), vec2(1e-6));
  vec2 within = clamp(0.5 - out_ / wide2, 0.0, 1.0);
  float there = uPatternChoice.y == 1 || uPatternChoice.x == PUT_ON_AROUND ? (uPatternChoice.y == 1 ? 1.0 : within.y) : within.x * within.y;
  vec4 c = pictureAt(at, dx, dy);
  // how its brightness changes, over as much as a pixel sees of it
  vec2 px2 = vec2(textureSize(uPatternPicture, 0).xy);
  vec2 step2 = max(1.0 / px2, 0.5 * wide2);
  vec2 slope = vec2(
    bright(pictureAt(at + vec2(step2.x, 0.0), dx, dy)) - bright(pictureAt(at - vec2(step2.x, 0.0), dx, dy)),
    bright(pictureAt(at + vec2(0.0, step2.y), dx, dy)) - bright(pictureAt(at - vec2(0.0, step2.y), dx, dy))) / (2.0 * step2 * size);
  return Pattern(bright(c) / max(c.a, 1e-4), u * slope.x + v * slope.y, c.rgb / max(c.a, 1e-4), float(uPatternChoice.z), there * c.a);
}
