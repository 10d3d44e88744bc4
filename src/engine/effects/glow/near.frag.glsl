// What glows at the finest level of a reference picture, and the glow gathered below it, doubled once more.
// Needs spread/bright.glsl with names that begin with near_.
uniform sampler2D uReference;
uniform sampler2D uGathered;
uniform int uHasGathered;   // 0 or 1
in vec2 vUv;
out vec4 outColour;
void main() {
  vec3 sum = near_bright(texelFetch(uReference, ivec2(gl_FragCoord.xy), 0).rgb);
  for (int i = 0; i < uHasGathered; i++) sum += texture(uGathered, vUv).rgb;
  outColour = vec4(sum, 1.0);
}
