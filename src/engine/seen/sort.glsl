// Sorts the elements of a stretch: a texel becomes the number of the class that its element is drawn in, 0 where it is not in
// sight, and its rank within that class, 0 to 255. Behind it stands the `int classOf(ivec2 texel, int repetition)` of one kind of
// drawing, which returns the class and 256 times the rank.
uniform ivec3 uStretch;     // place in drawing order and row of the target where it begins; repetition of the tile
uniform sampler2D uOrder;   // the element at each place
uniform bool uOrdered;
out vec4 outClass;

int classOf(ivec2 texel, int repetition);

void main() {
  ivec2 at = ivec2(gl_FragCoord.xy);
  int id = uStretch.x + (at.y - uStretch.y) * 1024 + at.x;
  if (uOrdered) id = int(texelFetch(uOrder, ivec2(id & 1023, id >> 10), 0).r);
  int found = classOf(ivec2(id & 1023, id >> 10), uStretch.z);
  outClass = vec4(float(found & 255) / 255.0, float(found >> 8) / 255.0, 0.0, 1.0);
}
