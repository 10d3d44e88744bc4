// How large a particle appears and where. Needs frame/view.glsl.
uniform sampler2D uOpenPlace;   // position and size when the shutter opens
uniform sampler2D uClosePlace;  // ... when it closes
uniform sampler2D uOpenLook;    // linear colour times light
uniform mat4 uViewOpen;
uniform mat4 uViewMid;
uniform mat4 uViewClose;
uniform float uTile;            // metres from one repetition to the next
uniform float uLight;
uniform vec4 uAperture;         // blades, turn, squeeze, hat edges 0 or 1
uniform float uSoftness;
uniform int uSprite;            // 0 a disc, others have a form of their own

const float SIDE_SLANT = 1.8;  // one by the cosine of the corners of a side, where what is seen of it ends
const float CORE = 0.36;  // variance in square pixels of the smallest point: sigma 0.6, so sub-pixel motion does not flicker

// place: the centre in pixels and its depth, when the shutter opens, in the middle and when it closes; own and blur: radii in
// pixels; here: how far it is there; bell: 0 a disc .. 1 a bell; re: radius it is drawn with
struct Particle { vec3 s0; vec3 s1; vec3 s2; float here; float own; float blur; float bell; float re; };

vec3 toScreen(mat4 view, vec3 world) {
  vec3 v = (view * vec4(world, 1.0)).xyz;
  float d = max(-v.z, 1e-3);
  return vec3(v.xy * (uPixelFocal / over(d)) + uPicture * 0.5, -v.z);
}

// What a side of a fisheye's cube shows off its middle is round in the circle when it is longer outwards, by one by the cosine. That
// way, so long that v - it * dot(it, v) is the place v of such a form in a round one; 0 in a picture of its own.
vec2 longWay(vec2 fromMiddle) {
  if (uCircle.x == 0.0) return vec2(0.0);
  float far = length(fromMiddle) / uPixelFocal;
  // beyond the corners nothing is seen of a side
  return normalize(fromMiddle + vec2(1e-6, 0.0)) * sqrt(1.0 - inversesqrt(1.0 + min(far * far, SIDE_SLANT * SIDE_SLANT - 1.0)));
}

// how many times as long
float longer(vec2 way) { return 1.0 / (1.0 - dot(way, way)); }

Particle particle(vec4 open, vec4 shut, int repetition) {
  Particle p;
  vec3 offset = vec3(0.0, 0.0, -float(repetition) * uTile);
  p.s0 = toScreen(uViewOpen, open.xyz + offset);
  p.s1 = toScreen(uViewMid, mix(open.xyz, shut.xyz, 0.5) + offset);
  p.s2 = toScreen(uViewClose, shut.xyz + offset);
  float depth = p.s1.z;
  p.own = open.w * uPixelFocal / over(depth);
  // one by the cosine off the middle of a side of a fisheye's cube
  float slant = uCircle.x > 0.0 ? length(vec3((p.s1.xy - uPicture * 0.5) / uPixelFocal, 1.0)) : 1.0;
  // on a side of a fisheye's cube, metres from the eye are those of the way to it, so that all sides tell the same
  float away = depth * slant;
  p.blur = blurPx(away) * min(slant, SIDE_SLANT);
  // Drawn as a bell (1 - q^2)^2 where small or soft, as a disc where large; between them a mix. The radius is chosen so
  // that the variance is that of blur disc, particle and pixel together: a bell of radius r has r^2/8, a disc r^2/4.
  float area = p.blur * p.blur + p.own * p.own;
  p.bell = max(uSoftness * p.own * p.own / max(area, 1e-9), 1.0 - smoothstep(1.0, 3.5, sqrt(area)));
  float variance = p.blur * p.blur * 0.25 + p.own * p.own * (2.0 - uSoftness) * 0.125 + CORE;
  p.re = sqrt(8.0 * variance / (2.0 - p.bell));
  p.here = presence(away);
  // what is so near that it is all around is flat on every side: it fades before that is seen; what is far beside one is not on it
  if (uCircle.x > 0.0) p.here *= (1.0 - smoothstep(0.25, 0.5, p.re / (uPixelFocal * slant))) * step(slant, 4.0);
  return p;
}

// how far the aperture's rim is from its middle at most, for a disc of radius 1
float widest() {
  return max(sqrt(uAperture.z), inversesqrt(uAperture.z)) * (uAperture.x > 2.5 ? circumradius(uAperture.x) : 1.0);
}
