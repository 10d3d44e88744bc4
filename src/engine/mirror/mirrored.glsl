// What a flat surface mirrors of what is near: a picture of that, drawn from behind the surface (mirror/mirrors.ts) and turned over from
// left to right. Needs frame/view.glsl, frame/pixel.glsl, air/mist.glsl, matter/body.glsl and matter/shine.glsl.
uniform sampler2D uMirrored;   // light, and how far anything is there
uniform sampler2D uMirrorNear; // one over its depth in metres, and how far anything is there, at half the size
uniform vec4 uMirrorPlane;     // unit normal of the surface in the view, towards the eye; 1 where there is such a picture
uniform float uMirrorLight;    // metres of added light over the surface, in the middle: how near that is no picture tells

// the most that is blurred, as a share of the picture's height
const float WIDEST = 0.15;

// where in the picture, 0..1, a place is seen that is so many lengths of a way away, one over which is t, from this pass's point of the lens
vec2 awayAt(vec3 from, vec3 way, float t) {
  vec3 h = from * t + way;
  vec2 xy = h.xy + uLens * ((-h.z - uFocus * t) / over(uFocus));
  return (xy * (uPixelFocal / (uFlat > 0.0 ? uFlat * t : -h.z)) + uJitter) / uPicture + 0.5;
}

// level: how often it is halved, from the size of the picture
vec4 mirrorAt(vec2 at, float level) { return textureLod(uMirrored, vec2(1.0 - at.x, at.y), level); }
vec4 mirrorNear(vec2 at, float level) { return textureLod(uMirrorNear, vec2(1.0 - at.x, at.y), level - 1.0); }

// pixels that a rough surface blurs what is one over t away
float mirrorBlur(float rough, float depth, float onwards, float t) {
  float over_ = uFlat > 0.0 ? uFlat * t : depth * t + onwards;
  return min(rough * rough * 0.7 * uPixelFocal / max(over_, 1e-4), WIDEST * uPicture.y);
}

vec3 mirroredFrom(vec3 d, float rough, vec3 place) {
  vec3 light = lightFrom(d, rough);
#ifdef PANORAMAS
  light += panoramaFrom(d, rough);
#endif
  int pictures = int(uMirrorPlane.w);
  for (int k = 0; k < pictures; k++) {
    light = mix(uMistColour, light, throughMist(place, place + d * uAir.z));
    mat3 toView = mat3(uView);
    vec3 n = uMirrorPlane.xyz;
    vec3 p = toView * place + uView[3].xyz;
    // the line of sight comes from this pass's point of the lens, not from its middle
    vec2 here = gl_FragCoord.xy / uPicture;
    vec3 off = normalize(p - placeAt(here, 0.0)) + toEye(p);
    vec3 way = toView * d + off - 2.0 * dot(off, n) * n;
    // onwards beneath the surface, as what is mirrored is seen; from a ripple that looks down it is mirrored once more
    float up = dot(way, n);
    way -= (up + abs(up)) * n;
    float onwards = -way.z;
    float depth = -p.z;
    float nearest = 1.0 / (4.0 * uAir.z);
    // how far that goes until it meets something, looked for from where a smooth surface would show it, in all that it may be blurred over
    float coarse = max(1.0, log2(max(1.0, mirrorBlur(rough, depth, onwards, nearest))));
    vec2 at = here;
    vec4 near = mirrorNear(at, coarse);
    float blur = 0.0;
    for (int i = 0; i < 3; i++) {
      float far_ = near.x / max(near.y, 1e-6);
      float t = near.y > 1e-6 ? onwards * far_ / max(1.0 - depth * far_, 1e-3) : abs(up) / uMirrorLight;
      t = max(t, nearest);
      at = awayAt(p, way, t);
      blur = mirrorBlur(rough, depth, onwards, t);
      vec4 there = mirrorNear(at, max(1.0, log2(max(blur, 1.0))));
      near = there.y > 0.01 ? there : mirrorNear(at, coarse);
    }
    float level = log2(max(blur, 1.0));
    // four places, or the levels show their squares
    vec2 aside = blur * 0.35 / uPicture;
    vec4 seen = 0.25 * (mirrorAt(at + aside, level) + mirrorAt(at - aside, level)
      + mirrorAt(at + vec2(aside.x, -aside.y), level) + mirrorAt(at + vec2(-aside.x, aside.y), level));
    vec2 past = max(-at, at - 1.0);
    float known = (1.0 - smoothstep(0.0, 0.12, max(past.x, past.y))) * smoothstep(0.02, 0.1, onwards);
    light = light * (1.0 - known * seen.a) + known * seen.rgb;
  }
  return light;
}
