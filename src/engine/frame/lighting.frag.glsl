// The light of one pass, from what it keeps of the matter it sees (matter/surface.glsl): each pixel is lit once, fades into the air,
// and counts by the share of the pass. Three programs, each drawn over the tiles in which there is something for it, because
// without a graphics card both sides of a condition are worked out for every pixel. By MARK: 0 what is behind everything, two
// colours from the middle of the picture to its corners; 1 a sky instead; 2 plain matter; 3 matter whose light is known. In a mirror
// (MIRROR) air counts from the mirror on.
// Needs frame/view.glsl, fisheye/round.glsl, frame/pixel.glsl, air/veil.glsl, matter/direction.glsl and matter/shine.glsl with all that that needs.
uniform sampler2D uMatter;
uniform sampler2D uMatterColour;
uniform sampler2D uMatterManner;
uniform vec3 uCentre;
uniform vec3 uEdge;
uniform vec3 uFogColour;
uniform float uShare;
uniform float uBackdrop;    // 0 where there is to be nothing behind everything
uniform float uKeepDepth;   // 1 where alpha is to be the depth in metres, less than 0 of what is only partly there
out vec4 outLight;

#if MARK == 0
vec3 behind() {
  return mix(uCentre, uEdge, smoothstep(0.0, 1.0, outwards((vUv - 0.5) * uPicture, uPicture)));
}
#elif MARK == 1
vec3 behind() {
  return skyColour(normalize(transpose(mat3(uView)) * vec3((vUv - 0.5) * uPicture - uJitter, -uPixelFocal)));
}
#endif

// the depth before the focus at which the lens alone would blur as much as it does at a depth, and so many metres more; less than
// 0 of what is sharp wherever it is
float asBlurred(float depth, float soft) {
  if (soft < 0.0) return uFocus;
  if (soft == 0.0) return depth;
  float px = abs(blurPx(depth)) + 0.5 * soft * uPixelFocal / over(depth);
  float each = max(uApertureHalf * uPixelFocal, 1e-6);
  return uFlat > 0.0 ? max(0.01, uFocus - px * uFlat * uFlat / each) : uFocus / (1.0 + px * uFocus / each);
}

#ifdef MIRROR
// depth at which the line of sight enters what the mirror shows
float mirrorDepth() {
  vec3 from = placeAt(vUv, 0.0);
  vec3 each = placeAt(vUv, 1.0) - from;
  return clamp(-(dot(uMirror.xyz, from) + uMirror.w) / max(dot(uMirror.xyz, each), 1e-6), 0.0, uAir.z);
}
#endif

void main() {
  ivec2 px = ivec2(gl_FragCoord.xy);
  vec4 surface = texelFetch(uMatter, px, 0);
  float depth = surface.w;
#if MARK < 2
  if (depth < 1e8) discard;
  outLight = vec4(veiled(behind() * uBackdrop, depthOf(vUv, uAir.z)) * uShare, uKeepDepth * depth);
#else
  if (depth > 1e8 || (surface.z > 0.5) != (MARK == 2)) discard;
  vec4 colour = texelFetch(uMatterColour, px, 0);
  vec4 manner = texelFetch(uMatterManner, px, 0);
#ifdef COATED
  float takes = floor(surface.z);
  float partly = floor(manner.z);
#else
  float takes = surface.z;
  float partly = manner.z;
#endif
  // the depth as far as which there is air before it
  float air = depth;
#if MARK == 2
  mat3 toWorld = transpose(mat3(uView));
  vec3 seen = placeAt(vUv, depth);
  vec3 v = toWorld * toEye(seen);
  vec3 f0 = mix(vec3(0.04), colour.rgb, manner.y);
  vec3 place = toWorld * (seen - uView[3].xyz);
#ifdef COATED
  vec2 coat = (vec2(surface.z, manner.z) - vec2(takes, partly)) / 0.9;
  vec3 light = shineCoated(direction(surface.xy), v, f0, colour.rgb * (1.0 - manner.y), manner.y, manner.x, place, 2.0 - takes, coat.x, coat.y) + colour.rgb * colour.a;
#else
  vec3 light = shine(direction(surface.xy), v, f0, colour.rgb * (1.0 - manner.y), manner.y, manner.x, 1.0, place, 2.0 - takes) + colour.rgb * colour.a;
#endif
#else
  vec3 light = colour.rgb;
  if (manner.x > 0.0) air = manner.x;
#endif
#ifdef MIRROR
  float since = mirrorDepth();
  float off = metresOff(placeAt(vUv, depth));
  float clear = clearAir(off) / clearAir(metresOff(placeAt(vUv, since))) * presence(off);
  outLight = vec4(veiledFrom(mix(uFogColour, light, clear), since, depth), 1.0);
#else
  float off = metresOff(placeAt(vUv, air));
  outLight = vec4(veiled(mix(uFogColour, light, clearAir(off) * presence(off)), air) * uShare, uKeepDepth * asBlurred(depth, manner.w) * (1.0 - 2.0 * partly));
#endif
#endif
}
