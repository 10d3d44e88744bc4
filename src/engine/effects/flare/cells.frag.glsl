// What each cell of a grid has of the light of a picture: by uWhat its colour, or where it is and how much. Needs flare.glsl.
uniform sampler2D uSource;
uniform float uCell;   // side of a cell in pixels
uniform int uWhat;     // 0: red, green, blue; 1: x, y times the light, and the light
out vec4 outSum;

void main() {
  vec2 cell = floor(gl_FragCoord.xy);
  ivec2 size = textureSize(uSource, 0);
  ivec2 from = max(ivec2(floor((cell - 0.5) * uCell)), ivec2(0));
  ivec2 to = min(ivec2(ceil((cell + 1.5) * uCell)), size);
  vec3 sum = vec3(0.0);
  for (int y = from.y; y < to.y; y++)
    for (int x = from.x; x < to.x; x++) {
      vec2 at = vec2(float(x), float(y)) + 0.5;
      vec2 d = at / uCell - cell - 0.5;
      vec3 c = texelFetch(uSource, ivec2(x, y), 0).rgb * (flareTent(d.x) * flareTent(d.y));
      float light = dot(c, vec3(0.2126, 0.7152, 0.0722));
      sum += uWhat == 0 ? c : vec3(at / vec2(size) * light, light);
    }
  float side = float(min(size.x, size.y));
  outSum = vec4(sum / (side * side), 1.0);
}
