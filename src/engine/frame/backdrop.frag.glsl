// What is behind everything, at infinite depth: a sky, or two colours from the middle of the picture to its corners.
// Needs random/hash.glsl and drawings/dome/sky.glsl.
uniform vec3 uCentre;
uniform vec3 uEdge;
uniform vec2 uPicture;
uniform float uPixelFocal;
uniform mat4 uView;
uniform vec2 uJitter;
in vec2 vUv;
out vec4 outColour;
void main() {
  vec2 at = (vUv - 0.5) * uPicture;
  if (uSky.x > 0.0) {
    vec3 d = normalize(transpose(mat3(uView)) * vec3(at - uJitter, -uPixelFocal));
    outColour = vec4(skyColour(d) + starLight(d, uPixelFocal), 1e9);
    return;
  }
  vec2 d = at / length(uPicture) * 2.0;
  outColour = vec4(mix(uCentre, uEdge, smoothstep(0.0, 1.0, length(d))), 1e9);
}
