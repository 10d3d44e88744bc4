// A line of light between two elements, blurred exactly by the round lens: see segments.frag.glsl.
// Drawn as one quad an instance. Needs frame/view.glsl. With LINKS defined a line joins points of two sets, which may be
// one, is coloured by how near they are, and fades out at the limit.
in uvec2 aPair;
#ifdef LINKS
in vec3 aMark;               // closeness when the shutter opens and closes; tiles the second point is moved by
uniform sampler2D uOpenPlaceB;
uniform sampler2D uClosePlaceB;
uniform sampler2D uOpenLookB;
uniform sampler2D uLinkGradient;
uniform float uFalloff;
uniform float uThickness;    // share of the picture's height
uniform float uTile;
#endif
uniform sampler2D uOpenPlace;
uniform sampler2D uClosePlace;
uniform sampler2D uOpenLook;
uniform mat4 uView;          // at this pass's time
uniform mat4 uViewOpen;      // when the shutter opens and closes
uniform mat4 uViewClose;
uniform float uTime;         // place of this pass in the shutter, 0..1
uniform float uTileOffset;
uniform float uLight;
uniform float uWidth;        // metres
uniform float uShare;        // 1 / number of passes
uniform vec4 uLevel;

flat out vec4 fEnds;         // both ends in target pixels
flat out vec4 fBlur;         // blur radius and own half width at both ends, target pixels
flat out vec3 fLightA;
flat out vec3 fLightB;
flat out vec2 fDepth;        // at both ends what is linear on screen: 1 / depth, or depth itself without perspective
flat out vec2 fSweep;        // how far both ends move across the line in this pass's slice, half of it; target pixels

ivec2 texelOf(uint id) { return ivec2(int(id) & 1023, int(id) >> 10); }

vec3 openAt(uint id) { return texelFetch(uOpenPlace, texelOf(id), 0).xyz; }
vec3 closeAt(uint id) { return texelFetch(uClosePlace, texelOf(id), 0).xyz; }
#ifdef LINKS
vec3 openAtB(uint id) { return texelFetch(uOpenPlaceB, texelOf(id), 0).xyz + vec3(0.0, 0.0, aMark.z * uTile); }
vec3 closeAtB(uint id) { return texelFetch(uClosePlaceB, texelOf(id), 0).xyz + vec3(0.0, 0.0, aMark.z * uTile); }
#else
vec3 openAtB(uint id) { return openAt(id); }
vec3 closeAtB(uint id) { return closeAt(id); }
#endif

vec3 seen(vec3 p) { return (uView * vec4(p - vec3(0.0, 0.0, uTileOffset), 1.0)).xyz; }

// how far an end moves on screen while the shutter is open
vec2 motion(vec3 open, vec3 shut) {
  vec4 offset = vec4(0.0, 0.0, uTileOffset, 0.0);
  vec3 p = (uViewOpen * (vec4(open, 1.0) - offset)).xyz;
  vec3 q = (uViewClose * (vec4(shut, 1.0) - offset)).xyz;
  if (p.z > -0.03 || q.z > -0.03) return vec2(0.0);
  return (q.xy / over(-q.z) - p.xy / over(-p.z)) * uPixelFocal;
}

vec3 lightOf(uint id, float depth) {
  return texelFetch(uOpenLook, texelOf(id), 0).rgb * (presence(depth) * clearAir(depth));
}

void main() {
  vec3 openA = openAt(aPair.x);
  vec3 openB = openAtB(aPair.y);
  vec3 closeA = closeAt(aPair.x);
  vec3 closeB = closeAtB(aPair.y);
  vec3 a = seen(mix(openA, closeA, uTime));
  vec3 b = seen(mix(openB, closeB, uTime));
  const float NEAR = 0.03;
  gl_Position = vec4(2.0, 2.0, 2.0, 1.0);
  fEnds = vec4(0.0); fBlur = vec4(0.0); fLightA = vec3(0.0); fLightB = vec3(0.0); fDepth = vec2(1.0); fSweep = vec2(0.0);
  if (a.z > -NEAR && b.z > -NEAR) return;
  if (a.z > -NEAR) a = mix(b, a, (b.z + NEAR) / (b.z - a.z));
  if (b.z > -NEAR) b = mix(a, b, (a.z + NEAR) / (a.z - b.z));
  float da = -a.z;
  float db = -b.z;
#ifdef LINKS
  float near = mix(aMark.x, aMark.y, uTime);
  if (near <= 0.0) return;
  float there = texelFetch(uOpenLook, texelOf(aPair.x), 0).a * texelFetch(uOpenLookB, texelOf(aPair.y), 0).a;
  vec3 light = textureLod(uLinkGradient, vec2(near, 0.5), 0.0).rgb * (pow(near, uFalloff) * there);
  fLightA = light * (presence(da) * clearAir(da));
  fLightB = light * (presence(db) * clearAir(db));
#else
  fLightA = lightOf(aPair.x, da);
  fLightB = lightOf(aPair.y, db);
#endif
  if (max(max(fLightA.r, fLightA.g), fLightA.b) + max(max(fLightB.r, fLightB.g), fLightB.b) <= 0.0) return;
  vec2 pa = a.xy * (uPixelFocal / over(da)) + uPicture * 0.5;
  vec2 pb = b.xy * (uPixelFocal / over(db)) + uPicture * 0.5;
  float ra = blurPx(da);
  float rb = blurPx(db);
  float least = ra * rb < 0.0 ? 0.0 : min(abs(ra), abs(rb));
  if (least < uLevel.y || least >= uLevel.z) return;
#ifdef LINKS
  float ha = 0.5 * uThickness * uPicture.y;
  float hb = ha;
#else
  float ha = 0.5 * uWidth * uPixelFocal / over(da);
  float hb = 0.5 * uWidth * uPixelFocal / over(db);
#endif
  vec2 along = pb - pa;
  float len = length(along);
  along = len > 1e-4 ? along / len : vec2(1.0, 0.0);
  vec2 across = vec2(-along.y, along.x);
  // the line is spread over the way it goes in this slice, so that few passes do not leave stripes
  vec2 sweep = 0.5 * uShare * vec2(dot(motion(openA, closeA), across), dot(motion(openB, closeB), across));
  float reach = max(length(vec3(ra, ha, sweep.x * 1.1547)), length(vec3(rb, hb, sweep.y * 1.1547))) + 2.0 / uLevel.x;
  vec2 corner = vec2(float(gl_VertexID & 1), float(gl_VertexID >> 1)) * 2.0 - 1.0;
  vec2 p = (corner.x < 0.0 ? pa - along * reach : pb + along * reach) + across * (corner.y * reach);
  gl_Position = vec4(p / uPicture * 2.0 - 1.0, 0.0, 1.0);
  fEnds = vec4(pa, pb) * uLevel.x;
  fBlur = vec4(ra, rb, ha, hb) * uLevel.x;
  fLightA *= uLight * uShare;
  fLightB *= uLight * uShare;
  fSweep = sweep * uLevel.x;
  fDepth = uFlat > 0.0 ? vec2(da, db) : vec2(1.0 / da, 1.0 / db);
}
