// What a side of a fisheye's cube knows of the picture that it is a part of. Needs uPixelFocal.
uniform mat3 uToPicture; // from the axes of what this view sees to those of the picture
#ifndef HAS_CIRCLE
#define HAS_CIRCLE
uniform vec2 uCircle;     // radians from the middle of the circle to its rim, and for each pixel of the picture; 0 where this view is the picture
#endif

// where in the picture a way is seen: radians from the middle of the circle, to the right and up (core/lens/fisheye.ts)
vec2 roundPlace(vec3 way) {
  float off = length(way.xy);
  return off > 0.0 ? way.xy * (atan(off, -way.z) / off) : vec2(0.0);
}

// the same of what this view sees so many pixels from its middle
vec2 roundAt(vec2 fromMiddle) { return roundPlace(uToPicture * vec3(fromMiddle, -uPixelFocal)); }

// how far from the middle of the picture to its farthest corner that is, 0 to 1; of a circle to its rim. picture: pixels of this view
float outwards(vec2 fromMiddle, vec2 picture) {
  return uCircle.x > 0.0 ? length(roundAt(fromMiddle)) / uCircle.x : length(fromMiddle / length(picture) * 2.0);
}
