// The line of sight of a pixel in one pass. Needs frame/view.glsl.
uniform mat4 uView;
uniform vec2 uLens;
uniform vec2 uJitter;
in vec2 vUv;

// where in the view what a pixel shows at a depth is, seen from this pass's point of the lens
vec3 placeAt(float d) {
  vec2 xy = ((vUv - 0.5) * uPicture - uJitter) * (over(d) / uPixelFocal);
  return vec3(xy - uLens * ((d - uFocus) / over(uFocus)), -d);
}
