// As it is, for what has levels to be made; of the depth what is within reach, so that it has a mean. Needs frame/view.glsl.
uniform sampler2D uBehind;
out vec4 outLight;
void main() {
  vec4 behind = texelFetch(uBehind, ivec2(gl_FragCoord.xy), 0);
  outLight = vec4(behind.rgb, min(abs(behind.a), max(uAir.z, 1.0)));
}
