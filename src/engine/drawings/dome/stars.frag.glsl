// A star's light at a pixel, where nothing is in front of it.
uniform sampler2D uMatter;
uniform vec2 uPicture;
uniform float uPixelFocal;
uniform mat4 uView;
uniform vec2 uJitter;
flat in vec3 fStar;
flat in vec3 fLight;
out vec4 outLight;
void main() {
  if (texelFetch(uMatter, ivec2(gl_FragCoord.xy), 0).w < 1e8) discard;
  vec3 d = normalize(transpose(mat3(uView)) * vec3(gl_FragCoord.xy - 0.5 * uPicture - uJitter, -uPixelFocal));
  float away = length(fStar - d) * uPixelFocal;
  outLight = vec4(fLight * exp(-away * away * 0.9), 0.0);
}
