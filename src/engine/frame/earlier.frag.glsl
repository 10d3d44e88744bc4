// The light of another moment, as bright and as tinted as it is to be.
uniform sampler2D uLight;
uniform vec3 uGain;
out vec4 outColour;
void main() { outColour = vec4(texelFetch(uLight, ivec2(gl_FragCoord.xy), 0).rgb * uGain, 0.0); }
