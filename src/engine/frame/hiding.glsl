// How much of the light at a depth reaches the eye past the matter of a pass: all or nothing, or, where few passes are spread
// by the lens (lens/gather.frag.glsl), as softly as the matter itself.
uniform sampler2D uMatter;   // alpha: depth in metres of what is solid
uniform bool uSolid;
// 1 where the others say how soft it is: depth of what is nearer; its opacity in 255ths and, after the point, the share of the
// lens that sees past what is solid; depth of what it sees there
uniform float uSoftHiding;

float seenPast(ivec2 px, float depth) {
  if (!uSolid) return 1.0;
  vec4 matter = texelFetch(uMatter, px, 0);
  float seen = matter.a < depth ? (depth < matter.b ? uSoftHiding * fract(matter.g) : 0.0) : 1.0;
  return seen * (matter.r < depth ? 1.0 - uSoftHiding * floor(matter.g) / 255.0 : 1.0);
}
