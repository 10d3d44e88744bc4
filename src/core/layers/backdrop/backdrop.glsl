// The one element of a backdrop, where its middle is.
// @kernel backdrop backdropElement id

void backdropElement(uint id, float bodySize, out vec3 position, out float size, out float place) {
  position = vec3(0.0);
  size = bodySize;
  place = 0.5;
}
