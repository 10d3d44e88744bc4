// What every drawing pass knows of the camera. Pixels are those of the full-size picture, y up.
uniform vec2 uPicture;       // width, height in pixels
uniform float uPixelFocal;   // focal length in pixels
uniform float uApertureHalf; // radius of the aperture in metres
uniform float uFocus;        // metres
uniform vec4 uAir;           // fog start, fog distance, far reach, near fade; metres

// signed radius of the blur in pixels at depth d; positive beyond the focus (laws §7)
float blurPx(float d) { return uApertureHalf * uPixelFocal * (1.0 / uFocus - 1.0 / d); }

// A view-space point through a point of the lens off the axis, which shears the view about the plane of focus; jitter is a
// sub-pixel offset in pixels.
vec4 throughLens(vec3 v, vec2 lens, vec2 jitter) {
  float d = -v.z;
  vec2 xy = v.xy + lens * (d / uFocus - 1.0);
  vec2 clip = 2.0 * (xy * uPixelFocal + jitter * d) / uPicture;
  float near = 0.03;
  float far = max(uAir.z, 1.0);
  return vec4(clip, ((far + near) * d - 2.0 * far * near) / (far - near), d);
}

float clearAir(float d) { return exp(-max(0.0, d - uAir.x) / uAir.y); }

// fades before the lens and at the far reach, so that nothing pops
float presence(float d) {
  return smoothstep(0.25 * uAir.w, uAir.w, d) * (1.0 - smoothstep(0.8 * uAir.z, uAir.z, d));
}
