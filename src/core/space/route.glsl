// A straight or helical route about the -z axis, and the space around it.
// Coordinates along the route: local.x to the right, local.y up, local.z metres of advance along -z.
// The frame counter-rotates against the winding, which is the rotation-minimising frame with the leftover twist of a
// whole turn spread evenly: it repeats exactly after every turn, and the horizon stays where it is.
// @export routePoint
// @include ../noise/turn.glsl

// radius of the helix in metres (0: straight), turnsPerMetre of advance.
vec3 routePoint(vec3 local, float radius, float turnsPerMetre) {
  float turn = local.z * turnsPerMetre;
  float s = sinTurn(turn);
  float c = cosTurn(turn);
  float slope = radius * TAU * turnsPerMetre;
  float inv = inversesqrt(1.0 + slope * slope);
  vec3 outward = vec3(c, s, 0.0);
  vec3 tangent = vec3(-slope * s, slope * c, -1.0) * inv;
  vec3 over = cross(outward, tangent);
  vec3 right = outward * c - over * s;
  vec3 up = outward * s + over * c;
  return vec3(radius * c, radius * s, -local.z) + right * local.x + up * local.y;
}
