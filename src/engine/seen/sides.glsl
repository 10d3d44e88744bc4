// The sides of what the lens sees: before the lens, beyond the reach, and the four of the picture. Needs frame/view.glsl.
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

// metres that the lens looks past things at depths between, from all of its aperture; squeeze: of the aperture
float lensReach(float near, float deep, float squeeze) {
  return uApertureHalf * max(squeeze, 1.0) * 1.5 * max(abs(deep - uFocus), abs(near - uFocus)) / over(max(uFocus, 1e-3));
}
