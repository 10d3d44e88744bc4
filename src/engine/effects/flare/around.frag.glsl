// Of each cell where its light is, how much, and how much there is in it and its neighbours: a single light between cells is all of that.
uniform sampler2D uCells;
out vec4 outLight;

void main() {
  ivec2 cell = ivec2(gl_FragCoord.xy);
  ivec2 last = textureSize(uCells, 0) - 1;
  float around = 0.0;
  for (int dy = -1; dy <= 1; dy++)
    for (int dx = -1; dx <= 1; dx++) {
      ivec2 at = cell + ivec2(dx, dy);
      if (at == clamp(at, ivec2(0), last)) around += texelFetch(uCells, at, 0).z;
    }
  vec3 own = texelFetch(uCells, cell, 0).xyz;
  outLight = vec4(own.xy / max(own.z, 1e-12), own.z, around);
}
