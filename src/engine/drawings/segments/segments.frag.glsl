// The convolution of a segment with the blur disc, in closed form: the length of the segment inside the disc about this
// pixel, over the disc's area. Sums of segments are therefore exact for polylines: joints neither gap nor shine.
// Along a projected segment the signed blur radius is linear, as it is linear in 1/depth. Needs frame/hiding.glsl.
uniform float uFlat;
uniform float uLevel;
flat in vec4 fEnds;
flat in vec4 fBlur;
flat in vec3 fLightA;
flat in vec3 fLightB;
flat in vec2 fDepth;
flat in vec2 fSweep;
out vec4 outColour;

const float PI = 3.14159265;
const float CORE2 = 0.75 * 0.75;

void main() {
  vec2 along = fEnds.zw - fEnds.xy;
  float len = max(length(along), 1e-3);
  along /= len;
  vec2 d = gl_FragCoord.xy - fEnds.xy;
  float y = dot(d, along);
  float x = d.x * along.y - d.y * along.x;
  float u = clamp(y / len, 0.0, 1.0);
  float blur = mix(fBlur.x, fBlur.y, u);
  float half_ = mix(fBlur.z, fBlur.w, u);
  float sweep = mix(fSweep.x, fSweep.y, u);
  // a disc of radius r has variance r^2/4, a sweep of half width h has h^2/3
  float re2 = blur * blur + half_ * half_ + sweep * sweep * 1.3333 + CORE2;
  float inside = re2 - x * x;
  if (inside <= 0.0) discard;
  float deep = mix(fDepth.x, fDepth.y, u);
  // a line on a surface is not hidden by it
  float seen = seenPast(ivec2(gl_FragCoord.xy / uLevel), 0.995 * (uFlat > 0.0 ? deep : 1.0 / deep));
  if (seen <= 0.0) discard;
  float h = sqrt(inside);
  float overlap = min(len - y, h) - max(-y, -h);
  if (overlap <= 0.0) discard;
  outColour = vec4(mix(fLightA, fLightB, u) * (2.0 * half_ * overlap / (PI * re2) * seen), 0.0);
}
