// How far what stands still goes in the picture, by the camera alone: pixels to the right and up. What is behind everything is far away.
// Needs frame/view.glsl and lens/motion.glsl.
uniform sampler2D uSurface;
out vec4 outMotion;
void main() {
  float depth = min(texelFetch(uSurface, ivec2(gl_FragCoord.xy), 0).w, 1e6);
  outMotion = vec4(wayOf(gl_FragCoord.xy, depth), 0.0, 1.0);
}
