// The lens and the shutter at few passes: what many passes would show, from the one picture that there is. Two layers: what
// is at a pixel, gathered over its own blur; and what is nearer, spread over it by its own. Points of the lens are those of
// the passes that are not drawn, so that highlights have the aperture's form. Gathering after Potmesil & Chakravarty
// (SIGGRAPH 1981), two layers after McGuire et al. (I3D 2012). Needs frame/view.glsl,
// motion.glsl and noise.glsl.
uniform sampler2D uSharp;    // light, and depth in metres: less than 0 of what is only partly there
uniform sampler2D uSpreads;  // see spread.frag.glsl
uniform sampler2D uCovers;
uniform vec4 uTaps[56];      // 8, 16 and 32 points: place in the lens, of the shutter less a half, how far out
layout(location = 0) out vec4 outLight;
layout(location = 1) out vec4 outHides;  // see frame/hiding.glsl

const float CELL = 1.7724539; // side of the square that one of n points has of a disc of radius 1, times the root of n

vec4 sharpAt(vec2 at) { return texelFetch(uSharp, ivec2(clamp(at, vec2(0.5), uPicture - 0.5)), 0); }

// of a disc that goes so far
float stadium(float radius, float way) { return radius * (3.14159265 * radius + 2.0 * way); }

int tapsFor(float px) { return px < 0.8 ? 0 : px < 3.0 ? 8 : px < 9.0 ? 16 : 32; }

// what the area of a pixel holds, of which the picture has the middle only
vec3 evened(ivec2 at, vec3 own) {
  ivec2 last = ivec2(uPicture) - 1;
  vec3 around = texelFetch(uSharp, ivec2(max(at.x - 1, 0), at.y), 0).rgb + texelFetch(uSharp, ivec2(min(at.x + 1, last.x), at.y), 0).rgb
              + texelFetch(uSharp, ivec2(at.x, max(at.y - 1, 0)), 0).rgb + texelFetch(uSharp, ivec2(at.x, min(at.y + 1, last.y)), 0).rgb;
  return mix(own, 0.25 * around, EVEN);
}

void main() {
  vec2 at = gl_FragCoord.xy;
  vec4 own = texelFetch(uSharp, ivec2(at), 0);
  float depth = abs(own.a);
  bool partly = own.a < 0.0;
  vec4 spread = texelFetch(uSpreads, ivec2(at) / TILE, 0);
  float blur = blurOf(depth);
  float slope = fwidth(blur);
  float radius = depth > BEHIND && spread.x == 0.0 ? 0.0 : max(abs(blur), partly ? PARTLY_PX : 0.0);
  vec2 way = spread.w < 0.5 ? vec2(0.0) : wayOf(at, depth);
  int taps = tapsFor(max(radius, 0.5 * length(way)));
  vec2 noise = vec2(noiseOf(at), noiseOf(at + vec2(47.0, 17.0))) - 0.5;
  vec3 light = own.rgb;
  if (spread.x > 0.0 || spread.y > 0.0) light = evened(ivec2(at), own.rgb);
  vec2 past = vec2(0.0);  // share of what is seen past the pixel's own, and that over its depth
  if (taps > 0) {
    // the pixel itself, as large as it is
    vec4 back = vec4(light, 1.0) * (partly ? 1e-4 : 1.0 / max(3.14159265 * radius * radius, 1.0));
    float rest = 0.0;
    vec2 side = blur > 0.0 ? vec2(-radius) : vec2(radius);
    float cell = CELL * inversesqrt(float(taps));
    for (int i = 0; i < taps; i++) {
      vec4 tap = uTaps[taps - 8 + i];
      vec2 off = (tap.xy + noise * cell) * side + way * (tap.z + noise.x * cell * cell * 0.318);
      vec4 q = sharpAt(at + off);
      float other = blurOf(abs(q.a));
      if (q.a < 0.0) continue;
      rest = max(rest, q.a);
      back += vec4(q.rgb, 1.0) * ((1.0 - clamp(blur - other - 0.5, 0.0, 1.0)) / float(taps));
      // farther than the surface itself goes on
      float beside = clamp(other - blur - slope * length(off) - 1.0, 0.0, 1.0) / float(taps);
      past += vec2(beside, beside / q.a);
    }
    light = mix(light, back.rgb / back.a, smoothstep(0.7, 1.3, max(radius, 0.5 * length(way))));
    if (partly) depth = max(depth, rest);
  }
  float cover = 0.0;
  vec4 front = vec4(0.0);
  vec2 moved = texelFetch(uCovers, ivec2(at) / TILE, 0).xy;
  int covers = tapsFor(spread.y + 0.5 * length(moved));
  if (covers > 0) {
    float reach = max(spread.y, 0.6);
    float cell = CELL * inversesqrt(float(covers));
    float side = spread.z > 0.5 ? reach : -reach;
    float moving = clamp(0.5 * length(moved) - 0.5, 0.0, 1.0);
    float area = stadium(reach, length(moved));
    for (int i = 0; i < covers; i++) {
      vec4 tap = uTaps[covers - 8 + i];
      vec2 off = (tap.xy + noise * cell) * side + moved * (tap.z + noise.x * cell * cell * 0.318);
      vec4 q = sharpAt(at + off);
      bool some = q.a < 0.0;
      q.a = abs(q.a);
      float other = blurOf(q.a);
      float size = max(abs(other), some ? PARTLY_PX : 0.6);
      float nearer = q.a > BEHIND ? 0.0 : some ? float(partly || q.a <= depth)
        : max(clamp(blur - other - 0.5, 0.0, 1.0), moving * clamp((depth / q.a - NEARER) * 20.0, 0.0, 1.0));
      // how far out of what it is spread over the pixel is: of its way the nearest place counts
      float along = clamp(dot(off, moved) / max(dot(moved, moved), 1e-6), -0.5, 0.5);
      float out_ = length(moved) < 1.0 ? tap.w * reach : length(off - moved * along);
      float reaches = clamp((size - out_) / (0.5 * cell * reach) + 0.5, 0.0, 1.0);
      float weight = nearer * reaches * area / (float(covers) * stadium(size, length(moved)));
      front += vec4(q.rgb, q.a) * weight;
      cover += weight;
    }
  }
  front /= max(cover, 1e-6);
  cover = min(cover, 1.0);
  outLight = vec4(mix(light, front.rgb, cover), 0.0);
  outHides = vec4(front.a, floor(cover * 255.0) + min(past.x, 0.999), past.x / max(past.y, 1e-9), depth);
}
