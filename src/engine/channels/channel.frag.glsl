// A channel of a frame, as numbers or as it is shown. By uOf: 0 depth, 1 normal, 2 a share, 3 motion. Needs matter/direction.glsl and
// fisheye/round.glsl: of a fisheye, depth is the distance, and what has a direction has that of the picture.
uniform sampler2D uSurface;
uniform vec2 uPicture;
uniform mat4 uView;
uniform int uOf;
uniform int uNumber;
uniform bool uShown;        // as code values to look at
uniform float uDrawnBack;
uniform float uFocus;       // metres from the eye
out vec4 outChannel;

void main() {
  vec4 surface = texelFetch(uSurface, ivec2(gl_FragCoord.xy), 0);
  bool there = surface.w < 1e8;
  vec2 px = gl_FragCoord.xy - 0.5 * uPicture;
  bool round_ = uCircle.x > 0.0;
  if (uOf == 0) {
    float depth = surface.w * (round_ ? length(vec3(px, uPixelFocal)) / uPixelFocal : 1.0) - uDrawnBack;
    // the plane of focus is middle grey, the camera white
    float focus = max(uFocus - uDrawnBack, 1e-3);
    float of = max(depth, 0.0) / focus;
    float grey = there ? 1.0 / (1.0 + of * of * of) : 0.0;
    outChannel = uShown ? vec4(vec3(grey), 1.0) : vec4(vec3(there ? depth : 1e9), 1.0);
  } else if (uOf == 1) {
    // what gives light of its own has none
    bool faces = there && surface.z > 0.5;
    vec3 n = uToPicture * (mat3(uView) * direction(surface.xy));
    vec3 shown = faces ? 0.5 + 0.5 * n : vec3(0.5);
    outChannel = uShown ? vec4(there ? shown : vec3(0.0), 1.0) : vec4(faces ? n : vec3(0.0), 1.0);
  } else if (uOf == 3) {
    // what stands still is middle grey; half of the rest of the way for a hundredth of the height
    vec2 motion = round_ ? (roundAt(px + surface.xy) - roundAt(px)) / uCircle.y : surface.xy;
    vec2 way = motion / (round_ ? 2.0 * uCircle.x / uCircle.y : uPicture.y);
    vec2 shown = 0.5 + 0.5 * way / (length(way) + 0.01);
    outChannel = uShown ? vec4(shown, 0.5, 1.0) : vec4(motion, 0.0, 1.0);
  } else {
    outChannel = vec4(vec3(surface[uNumber]), 1.0);
  }
}
