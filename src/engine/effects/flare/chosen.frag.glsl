// Of each cell where its flare is, how strong, and how large: of lights that so many others are brighter than there is none. Needs flare.glsl.
uniform sampler2D uLights;
uniform float uBrightest;
out vec4 outFlare;

void main() {
  vec4 own = texelFetch(uLights, ivec2(gl_FragCoord.xy), 0);
  ivec2 size = textureSize(uLights, 0);
  float brighter = 0.0;
  for (int y = 0; y < size.y; y++)
    for (int x = 0; x < size.x; x++) {
      vec4 other = texelFetch(uLights, ivec2(x, y), 0);
      // the cells of one light count as one
      if (other.z > 0.0) brighter += other.z / other.w * flareAbove(other.w, own.w);
    }
  float kept = own.z > 0.0 ? own.z / own.w * flareKept(brighter, uBrightest) : 0.0;
  outFlare = vec4(own.xy, kept, flareGrowth(own.w));
}
