// What there is in every tile of a pass: nothing, matter that is lit later, matter whose light is known.
uniform sampler2D uMatter;
uniform vec2 uPicture;
out vec4 outMarks;
void main() {
  ivec2 first = ivec2(gl_FragCoord.xy) * TILE;
  ivec2 last = min(first + TILE, ivec2(uPicture));
  vec3 marks = vec3(0.0);
  for (int y = first.y; y < last.y; y++)
    for (int x = first.x; x < last.x; x++) {
      vec4 surface = texelFetch(uMatter, ivec2(x, y), 0);
      marks = max(marks, surface.w > 1e8 ? vec3(1.0, 0.0, 0.0) : surface.z > 0.5 ? vec3(0.0, 1.0, 0.0) : vec3(0.0, 0.0, 1.0));
    }
  outMarks = vec4(marks, 1.0);
}
