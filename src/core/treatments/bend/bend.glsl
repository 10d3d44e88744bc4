// Space bent into an arc, or swaying from side to side where it must repeat.
// @kernel bend bendSpace p weight
// @include ../../noise/turn.glsl
// @include ../../space/axes.glsl

// amount: turns of the whole arc (tiled: metres of sway); heading: turns, the side it bends to; axis: as in twist; anchor:
// -0.5..0.5, the share of the length that stays where it is, so that turning the heading slides nothing.
// The arc keeps lengths along the axis; beyond the ends it goes on straight.
void bendSpace(vec3 p, float weight, float amount, float heading, int axis, vec3 middle, float length_, float anchor,
               int tiled, out vec3 q, out mat3 jacobian, out vec3 byWeight) {
  vec3 v = toAxis(p - middle, axis);
  float ch = cosTurn(heading);
  float sh = sinTurn(heading);
  // in the plane of the bend: x to the side it bends to
  vec3 w = vec3(v.x * ch + v.y * sh, -v.x * sh + v.y * ch, v.z);
  vec3 b;
  vec3 dx = vec3(1.0, 0.0, 0.0);
  vec3 dz;
  vec3 dw;
  if (tiled == 1) {
    float t = v.z / length_;
    float s = sinTurn(t);
    float much = amount * weight;
    b = w + vec3(much * s, 0.0, 0.0);
    dz = vec3(much * cosTurn(t) * TAU / length_, 0.0, 1.0);
    dw = vec3(amount * s, 0.0, 0.0);
  } else {
    float reach = clamp(w.z / length_ - anchor, -0.5 - anchor, 0.5 - anchor);
    float beyond = w.z - (reach + anchor) * length_;
    float turn = amount * weight * reach;
    float k = amount * weight * TAU / length_;
    float angle = turn * TAU;
    float c = cosTurn(turn);
    float s = sinTurn(turn);
    float arc = reach * length_;
    // sin(a)/a and (1 - cos a)/a stay exact as the arc straightens
    float a2 = angle * angle;
    float sinc = a2 < 1e-3 ? 1.0 - a2 * (1.0 / 6.0) : s / angle;
    float cosc = a2 < 1e-3 ? angle * (0.5 - a2 * (1.0 / 24.0)) : (1.0 - c) / angle;
    b = vec3(arc * cosc + w.x * c + beyond * s, w.y, arc * sinc - w.x * s + beyond * c + anchor * length_);
    float inside = abs(beyond) < 1e-5 * length_ ? 1.0 : 0.0;
    dx = vec3(c, 0.0, -s);
    dz = inside > 0.5 ? vec3(s * (1.0 - k * w.x), 0.0, c * (1.0 - k * w.x)) : vec3(s, 0.0, c);
    // derivative of the arc to its angle, times the angle a full weight gives
    float dcos = a2 < 1e-3 ? 0.5 - a2 * 0.125 : (s - cosc) / angle;
    float dsin = a2 < 1e-3 ? -angle * (1.0 / 3.0) : (c - sinc) / angle;
    float full = amount * TAU * reach;
    dw = vec3(arc * dcos - w.x * s + beyond * c, 0.0, arc * dsin - w.x * c - beyond * s) * full;
  }
  q = fromAxis(vec3(b.x * ch - b.y * sh, b.x * sh + b.y * ch, b.z), axis) + middle;
  byWeight = fromAxis(vec3(dw.x * ch, dw.x * sh, dw.z), axis);
  // columns: derivatives to v.x, v.y, v.z
  vec3 side = vec3(dx.x * ch, dx.x * sh, dx.z);
  vec3 over = vec3(-sh, ch, 0.0);
  jacobian = axisMatrix(mat3(side * ch - over * sh, side * sh + over * ch, vec3(dz.x * ch, dz.x * sh, dz.z)), axis);
}
