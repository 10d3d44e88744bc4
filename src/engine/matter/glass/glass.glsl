// What is behind it, through two surfaces: the one that is seen, and the one where the way through it comes out, found from its back
// (Wyman, "An Approximate Image-Space Approach for Interactive Refraction", SIGGRAPH 2005). Needs frame/view.glsl.
uniform sampler2D uBehind;     // light of this pass behind all glass, and its depth
uniform sampler2D uGlassBack;  // back of glass: normal in the world as an octahedron, depth in metres
#ifndef HAS_LENS
#define HAS_LENS
uniform vec2 uLens;
uniform vec2 uJitter;
#endif

// the direction of a place of the octahedron
vec3 backNormal(vec2 p) {
  vec3 n = vec3(p, 1.0 - abs(p.x) - abs(p.y));
  if (n.z < 0.0) n.xy = (1.0 - abs(n.yx)) * vec2(n.x >= 0.0 ? 1.0 : -1.0, n.y >= 0.0 ? 1.0 : -1.0);
  return normalize(n);
}

// where in the picture, 0..1, a place of the view is seen from this pass's point of the lens
vec2 seenAt(vec3 v) {
  float d = max(-v.z, 0.01);
  vec2 xy = v.xy + uLens * ((d - uFocus) / over(uFocus));
  return (xy * (uPixelFocal / over(d)) + uJitter) / uPicture + 0.5;
}

ivec2 pixelAt(vec2 at) { return ivec2(clamp(at, vec2(0.0), vec2(1.0)) * (uPicture - 1.0) + 0.5); }

// the mean over as much as a level holds: what jumps from pixel to pixel would tear what is seen through glass
float depthBehind(vec2 at, float level) { return textureLod(uBehind, at, level).a; }

// how much of what lies outside the picture is asked for: nothing of it is known
float outside(vec2 at) {
  vec2 off = max(-at, at - 1.0);
  return smoothstep(0.0, 0.12, max(off.x, off.y));
}

vec3 around(vec3 d, float rough) {
  vec3 light = lightFrom(d, rough);
#ifdef PANORAMAS
  light += panoramaFrom(d, rough);
#endif
  return light;
}

Matter matterOf(Body b) {
  float index = max(uMaterial[0].w, 1.0);
  mat3 toView = mat3(uView);
  vec3 p1 = toView * b.place + uView[3].xyz;
  float depth = -p1.z;
  vec3 into = refract(-b.v, b.n, 1.0 / index);
  vec3 along = toView * into;
  // how far it goes within: until its back, which is looked for where the way comes out
  vec4 back = texelFetch(uGlassBack, ivec2(gl_FragCoord.xy), 0);
  bool thin = back.w > 1e8 || back.w <= depth;
  float far = thin ? 0.0 : (back.w - depth) / max(dot(b.v, transpose(toView) * vec3(0.0, 0.0, 1.0)), 0.05);
  vec3 p2 = p1;
  for (int i = 0; i < 3; i++) {
    p2 = p1 + along * far;
    vec4 there = texelFetch(uGlassBack, pixelAt(seenAt(p2)), 0);
    if (thin || there.w > 1e8 || there.w <= depth) break;
    back = there;
    // as far as the depth found there, looked at along the way
    float gone = max(-p2.z - depth, 1e-3);
    far *= clamp((there.w - depth) / gone, 0.4, 1.6);
  }
  vec3 out_ = -b.v;
  if (!thin) {
    vec3 n2 = -backNormal(back.xy);
    out_ = refract(into, n2, index);
    // it does not come out there: what it would be mirrored to is hardly to be told from going on along the surface
    if (dot(out_, out_) < 0.5) out_ = normalize(reflect(into, n2));
  }
  vec3 way = toView * out_;
  // where that meets what is behind, looked for twice
  vec2 at = seenAt(p2);
  float onwards = max(-way.z, 0.02);
  float reach = 0.0;
  float blur = 0.0;
  for (int i = 0; i < 3; i++) {
    float behind = depthBehind(at, max(2.0, log2(max(blur, 1.0))));
    reach = max(0.0, behind + p2.z) / onwards;
    at = seenAt(p2 + way * min(reach, 4.0 * max(behind, 1.0)));
    blur = b.rough * b.rough * 0.7 * reach * uPixelFocal / over(max(depth + reach * onwards, 0.05));
  }
  // something before the glass is not behind it
  if (depthBehind(at, 0.0) < depth) at = seenAt(p1);
  float level = log2(max(blur, 1.0));
  // four places, or the levels show their squares
  vec2 aside = blur * 0.35 / uPicture;
  vec3 seen = 0.25 * (textureLod(uBehind, at + aside, level).rgb + textureLod(uBehind, at - aside, level).rgb
    + textureLod(uBehind, at + vec2(aside.x, -aside.y), level).rgb + textureLod(uBehind, at + vec2(-aside.x, aside.y), level).rgb);
  float lost = max(outside(at), smoothstep(-0.1, 0.1, way.z));
  if (lost > 0.0) seen = mix(seen, around(out_, b.rough), lost);
  float deep = clamp(far / max(uMaterial[1].x, 1e-4), 0.0, 1.0);
  vec3 tint = texture(uMatterColours, vec2((0.5 + 255.0 * deep) / 256.0, 0.25)).rgb * mix(vec3(1.0), b.base, uMaterial[1].y);
  float straight = (index - 1.0) / (index + 1.0);
  float f0 = straight * straight;
  float grazing = 1.0 - clamp(dot(b.n, b.v), 0.0, 1.0);
  float mirrored = f0 + (1.0 - f0) * pow(grazing, 5.0);
  vec3 light = seen * tint * (1.0 - mirrored);
  light += shine(b.n, b.v, vec3(f0), vec3(0.0), 0.0, b.rough, 1.0, b.place, 2.0 - uTakes) + b.base * b.glow;
  return Matter(light, b.rough, 0.0, 0.0, 1.0);
}
