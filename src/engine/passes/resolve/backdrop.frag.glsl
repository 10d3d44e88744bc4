// What is behind everything, at infinite depth.
uniform vec3 uCentre;
uniform vec3 uEdge;
uniform vec2 uPicture;
in vec2 vUv;
out vec4 outColour;
void main() {
  vec2 d = (vUv - 0.5) * uPicture / length(uPicture) * 2.0;
  outColour = vec4(mix(uCentre, uEdge, smoothstep(0.0, 1.0, length(d))), 1e9);
}
