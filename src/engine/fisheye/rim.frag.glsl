// How much of a pixel is within the circle: what is there already is multiplied by it.
uniform vec2 uSize;
uniform vec2 uCircle;
out vec4 outShare;
void main() {
  outShare = vec4(clamp(uCircle.x / uCircle.y - length(gl_FragCoord.xy - 0.5 * uSize) + 0.5, 0.0, 1.0));
}
