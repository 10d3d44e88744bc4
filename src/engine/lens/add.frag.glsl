// One pass's light, added to the frame by its share.
uniform sampler2D uGathered;
uniform float uShare;
out vec4 outLight;
void main() { outLight = vec4(texelFetch(uGathered, ivec2(gl_FragCoord.xy), 0).rgb * uShare, 0.0); }
