// A layer moved, turned and scaled as a whole.
// @kernel place placeElement k
// @include ../../space/rotation.glsl

void placeElement(vec3 placeAt, vec4 placeTurn, float placeScale, inout vec3 position, inout vec4 rotation, inout float size) {
  position = placeAt + rotateBy(placeTurn, position * placeScale);
  rotation = quatTimes(placeTurn, rotation);
  size *= placeScale;
}
