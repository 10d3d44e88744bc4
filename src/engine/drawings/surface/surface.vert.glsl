// A wall between elements, seen from this pass's own point of the lens. Needs frame/view.glsl.
uniform sampler2D uOpenPlace;
uniform sampler2D uClosePlace;
uniform sampler2D uOpenLook;
uniform mat4 uView;
uniform float uTime;
uniform float uTileOffset;
uniform vec2 uLens;      // lens point in metres
uniform vec2 uJitter;    // sub-pixel offset in pixels
out vec3 vView;
out vec3 vLook;

void main() {
  ivec2 texel = ivec2(gl_VertexID & 1023, gl_VertexID >> 10);
  vec3 p = mix(texelFetch(uOpenPlace, texel, 0).xyz, texelFetch(uClosePlace, texel, 0).xyz, uTime);
  vView = (uView * vec4(p - vec3(0.0, 0.0, uTileOffset), 1.0)).xyz;
  vLook = texelFetch(uOpenLook, texel, 0).rgb;
  gl_Position = throughLens(vView, uLens, uJitter);
}
