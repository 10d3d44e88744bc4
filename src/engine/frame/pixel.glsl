// The line of sight of a pixel in one pass. Needs frame/view.glsl.
#ifndef HAS_LENS
#define HAS_LENS
uniform vec2 uLens;
uniform vec2 uJitter;
#endif

// where in the view what a pixel shows at a depth is, seen from this pass's point of the lens
vec3 placeAt(vec2 uv, float d) {
  vec2 xy = ((uv - 0.5) * uPicture - uJitter) * (over(d) / uPixelFocal);
  return vec3(xy - uLens * ((d - uFocus) / over(uFocus)), -d);
}

// the depth at which what a pixel shows is so many metres off
float depthOf(vec2 uv, float metres) {
  return uCircle.x > 0.0 ? metres / length(vec3((uv - 0.5) * uPicture / uPixelFocal, 1.0)) : metres;
}

// where it meets a plane; what is given where it runs along that. n: normal, v: a place of the plane, both in the view
vec3 meets(vec2 uv, vec3 n, vec3 v) {
  vec3 from = placeAt(uv, 0.0);
  vec3 each = placeAt(uv, 1.0) - from;
  float turns = dot(n, each);
  float d = dot(n, v - from) / (abs(turns) > 1e-5 ? turns : 1e-5);
  return abs(turns) > 1e-5 && d > 0.0 ? from + each * d : v;
}
