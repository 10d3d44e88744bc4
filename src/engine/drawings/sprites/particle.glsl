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

const float CORE = 0.36;  // variance in square pixels of the smallest point: sigma 0.6, so sub-pixel motion does not flicker

// place: the centre in pixels and its depth, when the shutter opens, in the middle and when it closes; own and blur: radii in
// pixels; bell: 0 a disc .. 1 a bell; re: radius it is drawn with
struct Particle { vec3 s0; vec3 s1; vec3 s2; float own; float blur; float bell; float re; };

vec3 toScreen(mat4 view, vec3 world) {
  vec3 v = (view * vec4(world, 1.0)).xyz;
  float d = max(-v.z, 1e-3);
  return vec3(v.xy * (uPixelFocal / over(d)) + uPicture * 0.5, -v.z);
}

Particle particle(vec4 open, vec4 shut, int repetition) {
  Particle p;
  vec3 offset = vec3(0.0, 0.0, -float(repetition) * uTile);
  p.s0 = toScreen(uViewOpen, open.xyz + offset);
  p.s1 = toScreen(uViewMid, mix(open.xyz, shut.xyz, 0.5) + offset);
  p.s2 = toScreen(uViewClose, shut.xyz + offset);
  float depth = p.s1.z;
  p.own = open.w * uPixelFocal / over(depth);
  p.blur = blurPx(depth);
  // Drawn as a bell (1 - q^2)^2 where small or soft, as a disc where large; between them a mix. The radius is chosen so
  // that the variance is that of blur disc, particle and pixel together: a bell of radius r has r^2/8, a disc r^2/4.
  float area = p.blur * p.blur + p.own * p.own;
  p.bell = max(uSoftness * p.own * p.own / max(area, 1e-9), 1.0 - smoothstep(1.0, 3.5, sqrt(area)));
  float variance = p.blur * p.blur * 0.25 + p.own * p.own * (2.0 - uSoftness) * 0.125 + CORE;
  p.re = sqrt(8.0 * variance / (2.0 - p.bell));
  return p;
}

// how far the aperture's rim is from its middle at most, for a disc of radius 1
float widest() {
  return max(sqrt(uAperture.z), inversesqrt(uAperture.z)) * (uAperture.x > 2.5 ? circumradius(uAperture.x) : 1.0);
}
