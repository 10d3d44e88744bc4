// How far what is seen of something moves, where nothing is before it.
uniform sampler2D uMatter;  // depth in the fourth number
uniform vec2 uPicture;
in vec3 vView;
in vec4 vWas;
in vec4 vWill;
layout(location = 0) out vec4 outMotion;

void main() {
  float depth = texelFetch(uMatter, ivec2(gl_FragCoord.xy), 0).w;
  if (abs(depth + vView.z) > 2e-4 * depth || min(vWas.w, vWill.w) <= 0.0) discard;
  outMotion = vec4((vWill.xy / vWill.w - vWas.xy / vWas.w) * 0.5 * uPicture, 0.0, 1.0);
}
