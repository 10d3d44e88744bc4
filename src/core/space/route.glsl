// A straight or helical route about the -z axis, and the space around it.
// Coordinates along the route: local.x to the right, local.y up, local.z metres of advance along -z.
// The frame counter-rotates against the winding, which is the rotation-minimising frame with the leftover twist of a
// whole turn spread evenly: it repeats exactly after every turn, and the horizon stays where it is.
// @export routePoint
// @include ./rotation.glsl

// radius of the helix in metres (0: straight), turnsPerMetre of advance. The frame turns x, y, z of the layer to right,
// up and backwards along the route.
void routeFrame(float advance, float radius, float turnsPerMetre, out vec3 origin, out vec4 frame) {
  float turn = advance * turnsPerMetre;
  float s = sinTurn(turn);
  float c = cosTurn(turn);
  origin = vec3(radius * c, radius * s, -advance);
  float slope = radius * TAU * turnsPerMetre;
  // leaning from straight ahead into the tangent is one rotation about the direction outwards
  float inv = inversesqrt(1.0 + slope * slope);
  float half_ = sqrt(0.5 + 0.5 * inv);
  float across = slope >= 0.0 ? sqrt(max(0.0, 0.5 - 0.5 * inv)) : -sqrt(max(0.0, 0.5 - 0.5 * inv));
  frame = vec4(c * across, s * across, 0.0, half_);
}

vec3 routePoint(vec3 local, float radius, float turnsPerMetre) {
  vec3 origin;
  vec4 frame;
  routeFrame(local.z, radius, turnsPerMetre, origin, frame);
  return origin + rotateBy(frame, vec3(local.xy, 0.0));
}
