// What every drawing pass knows of the camera. Pixels are those of the full-size picture, y up.
uniform vec2 uPicture;       // width, height in pixels
uniform float uPixelFocal;   // focal length in pixels
uniform float uHigh;         // height of the picture in such pixels: what is as wide as a share of it is so wide
uniform float uApertureHalf; // radius of the aperture in metres
uniform float uFocus;        // metres
uniform float uFlat;         // without perspective the distance at which the lens would see as much; 0 with it
uniform vec4 uAir;           // fog start, fog distance, far reach, near fade; metres
#ifndef HAS_CIRCLE
#define HAS_CIRCLE
uniform vec2 uCircle;        // radians from the middle of the circle to its rim, and for each pixel of the picture; 0 where this view is the picture
#endif
uniform vec4 uMirror;        // in a mirror the plane of that in the view: what lies behind it is not there; else 0
uniform float uTimes;        // how many times the light that a pass adds is drawn: in a mirror for all passes, of which the mirror takes its share

// what metres at depth d are divided by on their way to the picture
float over(float d) { return uFlat > 0.0 ? uFlat : d; }

// signed radius of the blur in pixels at depth d; positive beyond the focus (laws §7)
float blurPx(float d) { return uApertureHalf * uPixelFocal * (d - uFocus) / (over(d) * over(uFocus)); }

// Depth of a place of the view and what it is divided by, of a picture in a mirror: the mirror is its near side (Lengyel, "Oblique View
// Frustum Depth Projection and Clipping", Journal of Game Development 1(2), 2005). Along a line of sight it rises as depth does,
// for the eye is behind the mirror.
vec2 behindMirror(vec3 v) {
  float over_ = uFlat > 0.0 ? 1.0 : -v.z;
  return vec2(dot(uMirror.xyz, v) + uMirror.w - over_, over_);
}

// A view-space point through a point of the lens off the axis, which shears the view about the plane of focus; jitter is a
// sub-pixel offset in pixels.
vec4 throughLens(vec3 v, vec2 lens, vec2 jitter) {
  // what lies in the eye's own plane is seen nowhere, but what it is a corner of may be
  float d = v.z == 0.0 ? 1e-6 : -v.z;
  vec2 xy = v.xy + lens * ((d - uFocus) / over(uFocus));
  vec2 at = 2.0 * (xy * (uPixelFocal / over(d)) + jitter) / uPicture;
  float near = 0.03;
  float far = max(uAir.z, 1.0);
  if (uMirror.w != 0.0) return vec4(uFlat > 0.0 ? at : at * d, behindMirror(v));
  if (uFlat > 0.0) return vec4(at, (2.0 * d - far - near) / (far - near), 1.0);
  return vec4(at * d, ((far + near) * d - 2.0 * far * near) / (far - near), d);
}

// How many metres a place of the view is off, for what counts by that: those along the camera's axis; on a side of a fisheye's cube those from
// the eye, so that all sides tell the same.
float metresOff(vec3 v) { return uCircle.x > 0.0 ? length(v) : -v.z; }

// from a point of the view towards the eye, of length 1
vec3 toEye(vec3 v) { return uFlat > 0.0 ? vec3(0.0, 0.0, 1.0) : normalize(-v); }

// how far before what mirrors it a place of the view is, of a length of its own; 0 where nothing does
float beforeMirror(vec3 v) { return dot(uMirror.xyz, v) + uMirror.w; }

// from where on air counts before a place of the view: from the eye, or from what mirrors it
vec3 airFrom(vec3 v) {
  vec3 eye = vec3(uFlat > 0.0 ? v.xy : vec2(0.0), 0.0);
  if (uMirror.w == 0.0) return eye;
  float before = beforeMirror(eye);
  return mix(eye, v, clamp(before / min(before - beforeMirror(v), -1e-6), 0.0, 1.0));
}

// d: metres off
float clearAir(float d) { return exp(-max(0.0, d - uAir.x) / uAir.y); }

// fades before the lens and at the far reach, so that nothing pops
float presence(float d) {
  return smoothstep(0.25 * uAir.w, uAir.w, d) * (1.0 - smoothstep(0.8 * uAir.z, uAir.z, d));
}
