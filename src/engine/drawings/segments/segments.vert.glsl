// A line of light between two elements, blurred exactly by the round lens: see segments.frag.glsl.
// Drawn as one quad an instance. Needs frame/view.glsl and line.glsl. Only lines that are seen come here: see sort.glsl.
in ivec2 aElement;           // the line, and the number of its repetition
#ifdef LINKS
uniform sampler2D uLinkGradient;
uniform float uFalloff;
#endif
uniform mat4 uView;          // at this pass's time
uniform float uTime;         // place of this pass in the shutter, 0..1
uniform float uLight;
uniform float uShare;        // 1 / number of passes
uniform float uLevel;        // size of this target relative to the picture

flat out vec4 fEnds;         // both ends in target pixels
flat out vec4 fBlur;         // blur radius and own half width at both ends, target pixels
flat out vec3 fLightA;
flat out vec3 fLightB;
flat out vec2 fDepth;        // at both ends what is linear on screen: 1 / depth, or depth itself without perspective
flat out vec2 fSweep;        // how far both ends move across the line in this pass's slice, half of it; target pixels

vec3 seen(vec3 p) { return (uView * vec4(p, 1.0)).xyz; }

// how far an end moves on screen while the shutter is open
vec2 motion(vec3 open, vec3 shut) {
  vec3 p = (uViewOpen * vec4(open, 1.0)).xyz;
  vec3 q = (uViewClose * vec4(shut, 1.0)).xyz;
  if (p.z > -NEAR || q.z > -NEAR) return vec2(0.0);
  return (q.xy / over(-q.z) - p.xy / over(-p.z)) * uPixelFocal;
}

// what is left of the light of a place of the view
float leftOf(vec3 v) { return presence(metresOff(v)) * clearWhole(uView, v); }

vec3 lightOf(ivec2 texel, vec3 v) {
  return texelFetch(uOpenLook, texel, 0).rgb * leftOf(v);
}

void main() {
  Line line = lineOf(aElement.x, aElement.y);
  vec3 a = seen(mix(line.openA, line.closeA, uTime));
  vec3 b = seen(mix(line.openB, line.closeB, uTime));
  gl_Position = vec4(2.0, 2.0, 2.0, 1.0);
  fEnds = vec4(0.0); fBlur = vec4(0.0); fLightA = vec3(0.0); fLightB = vec3(0.0); fDepth = vec2(1.0); fSweep = vec2(0.0);
  if (!cut(a, b) || !cutByMirror(a, b)) return;
  float da = -a.z;
  float db = -b.z;
#ifdef LINKS
  float near = mix(line.closeness.x, line.closeness.y, uTime);
  if (near <= 0.0) return;
  float there = texelFetch(uOpenLook, line.a, 0).a * texelFetch(uOpenLookB, line.b, 0).a;
  vec3 light = textureLod(uLinkGradient, vec2(near, 0.5), 0.0).rgb * (pow(near, uFalloff) * there);
  fLightA = light * leftOf(a);
  fLightB = light * leftOf(b);
#else
  fLightA = lightOf(line.a, a);
  fLightB = lightOf(line.b, b);
#endif
  if (max(max(fLightA.r, fLightA.g), fLightA.b) + max(max(fLightB.r, fLightB.g), fLightB.b) <= 0.0) return;
  vec2 pa = a.xy * (uPixelFocal / over(da)) + uPicture * 0.5;
  vec2 pb = b.xy * (uPixelFocal / over(db)) + uPicture * 0.5;
  float ra = blurPx(da);
  float rb = blurPx(db);
  float ha = halfWidth(da, line.radii.x);
  float hb = halfWidth(db, line.radii.y);
  vec2 along = pb - pa;
  float len = length(along);
  along = len > 1e-4 ? along / len : vec2(1.0, 0.0);
  vec2 across = vec2(-along.y, along.x);
  // the line is spread over the way it goes in this slice, so that few passes do not leave stripes
  vec2 sweep = 0.5 * uShare * vec2(dot(motion(line.openA, line.closeA), across), dot(motion(line.openB, line.closeB), across));
  float reach = max(length(vec3(ra, ha, sweep.x * 1.1547)), length(vec3(rb, hb, sweep.y * 1.1547))) + 2.0 / uLevel;
  vec2 corner = vec2(float(gl_VertexID & 1), float(gl_VertexID >> 1)) * 2.0 - 1.0;
  vec2 p = (corner.x < 0.0 ? pa - along * reach : pb + along * reach) + across * (corner.y * reach);
  gl_Position = vec4(p / uPicture * 2.0 - 1.0, 0.0, 1.0);
  fEnds = vec4(pa, pb) * uLevel;
  fBlur = vec4(ra, rb, ha, hb) * uLevel;
  fLightA *= uLight * uShare * uTimes;
  fLightB *= uLight * uShare * uTimes;
  fSweep = sweep * uLevel;
  fDepth = uFlat > 0.0 ? vec2(da, db) : vec2(1.0 / da, 1.0 / db);
}
