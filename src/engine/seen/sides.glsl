// The sides of what the lens sees: before the lens, beyond the reach, and the four of the picture. Needs frame/view.glsl.
uniform vec4 uAperture;    // blades, turn, squeeze, hat edges

const int SIDES = 6;

// a is outside a side by dot(a, side) - back metres
void sideOf(int k, out vec3 side, out float back) {
  side = vec3(0.0, 0.0, k == 0 ? 1.0 : -1.0);
  back = k == 0 ? -0.02 : max(uAir.z, 1.0);
  if (k < 2) return;
  vec3 across = k == 2 ? vec3(1.0, 0.0, 0.0) : k == 3 ? vec3(-1.0, 0.0, 0.0) : k == 4 ? vec3(0.0, 1.0, 0.0) : vec3(0.0, -1.0, 0.0);
  vec2 wide = (0.5 * uPicture + 2.0) / uPixelFocal;
  float slope = k < 4 ? wide.x : wide.y;
  side = uFlat > 0.0 ? across : (across + vec3(0.0, 0.0, slope)) * inversesqrt(1.0 + slope * slope);
  back = uFlat > 0.0 ? slope * uFlat : 0.0;
}

// whether a ball that goes from a through the control point b to c is outside a side
bool outside(vec3 a, vec3 b, vec3 c, vec3 side, float back, float radius) {
  return min(min(dot(a, side), dot(b, side)), dot(c, side)) - back > radius;
}

// the point that controls a way which is nearly a parabola, by its beginning, middle and end
vec3 controlOf(vec3 a, vec3 middle, vec3 c) { return 2.0 * middle - 0.5 * (a + c); }

// metres that the lens looks past things at depths between, from all of its aperture
float lensReach(float near, float deep) {
  return uApertureHalf * max(uAperture.z, 1.0) * 1.5 * max(abs(deep - uFocus), abs(near - uFocus)) / over(max(uFocus, 1e-3));
}

// Whether a ball, whose middle is seen at three places while the shutter is open, is out of sight. The way of a body is nearly a
// parabola; what it may stray from that is a small share of it.
bool unseen(vec3 v0, vec3 v1, vec3 v2, float radius) {
  vec3 control = controlOf(v0, v1, v2);
  float ball = radius + 0.1 * distance(v0, v2);
  float deep = -min(v0.z, min(control.z, v2.z)) + ball;
  ball += lensReach(0.0, deep);
  bool found = false;
  for (int k = 0; k < SIDES; k++) {
    vec3 side;
    float back;
    sideOf(k, side, back);
    found = found || outside(v0, control, v2, side, back, ball);
  }
  return found;
}

// the rank of what is at a depth, the nearest first
int rankOf(float depth) { return int(clamp((log2(max(depth, 0.02)) + 6.0) * 16.0, 0.0, 255.0)); }
