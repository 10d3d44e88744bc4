// Where what a pattern is glued to was when it was put on. Of what stands in every tile that is what is less than a tile ahead of the
// eye then.
uniform sampler2D uThenPlace;
uniform sampler2D uThenTurn;
uniform vec4 uThenWay;   // the way the camera looked, and how far ahead of it the world's middle was
uniform float uThenTile; // metres; 0 of what stands once

// heart: of what is moved as a whole
vec3 thenAhead(vec3 place, vec3 heart) {
  float step = -uThenWay.z * uThenTile;
  if (abs(step) < 0.05 * uThenTile || uThenTile == 0.0) return place;
  float depth = dot(uThenWay.xyz, heart) + uThenWay.w;
  return place + vec3(0.0, 0.0, floor(depth / step) * uThenTile);
}
