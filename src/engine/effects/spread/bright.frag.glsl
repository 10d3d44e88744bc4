// What is bright of a picture at the reference size. Needs bright.glsl with names that begin with own_.
uniform sampler2D uSource;
in vec2 vUv;
out vec4 outColour;
void main() { outColour = vec4(min(own_bright(texture(uSource, vUv).rgb), vec3(1e4)), 1.0); }
