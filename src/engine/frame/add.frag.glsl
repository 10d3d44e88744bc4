// Adds one pass's solid picture to the frame.
uniform sampler2D uSource;
uniform float uShare;
in vec2 vUv;
out vec4 outColour;
void main() { outColour = vec4(texture(uSource, vUv).rgb * uShare, 0.0); }
