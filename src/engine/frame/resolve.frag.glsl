// The linear picture: what was drawn at full size, and the wide blurs drawn into half, quarter and eighth size.
// Needs fisheye/round.glsl.
uniform sampler2D uFull;
uniform sampler2D uHalf;
uniform sampler2D uQuarter;
uniform sampler2D uEighth;
uniform bvec3 uUsed;
uniform bool uBehindAll;
uniform vec3 uCentre;
uniform vec3 uEdge;
uniform vec2 uPicture;
in vec2 vUv;
out vec4 outColour;
void main() {
  vec3 c = texture(uFull, vUv).rgb;
  if (uUsed.x) c += texture(uHalf, vUv).rgb;
  if (uUsed.y) c += texture(uQuarter, vUv).rgb;
  if (uUsed.z) c += texture(uEighth, vUv).rgb;
  if (uBehindAll) {
    c += mix(uCentre, uEdge, smoothstep(0.0, 1.0, outwards((vUv - 0.5) * uPicture, uPicture)));
  }
  outColour = vec4(c, 1.0);
}
