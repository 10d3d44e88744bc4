// How much of a light reaches a surface, by what the light's own view holds of what stands in its way (shadows.ts). Needs matter/brdf.glsl.
uniform highp sampler2D uShadowMap;   // depth, one square a view
uniform float uShadowSide;            // pixels from side to side of a square
uniform float uShadowColumns;         // squares in a row

// what the depth buffer holds at a depth in metres
float shadowDepth(float d, float flat_, float far) {
  float near = 0.03;
  return 0.5 + 0.5 * (flat_ > 0.0 ? (2.0 * d - far - near) / (far - near) : (far + near - 2.0 * far * near / d) / (far - near));
}

// 1 where nothing is before a place of a view, its depth there given, 0 where something is: four neighbours, by how near they are
float shadowAt(int square, vec2 px, float depth) {
  float columns = uShadowColumns;
  vec2 corner = vec2(mod(float(square), columns), floor(float(square) / columns)) * uShadowSide;
  vec2 at = clamp(px, vec2(0.5), vec2(uShadowSide - 0.5)) - 0.5;
  vec2 whole = floor(at);
  vec2 share = at - whole;
  ivec2 least = ivec2(corner);
  ivec2 most = least + ivec2(uShadowSide) - 1;
  ivec2 from = least + ivec2(whole);
  vec4 before = vec4(
    texelFetch(uShadowMap, from, 0).r,
    texelFetch(uShadowMap, min(from + ivec2(1, 0), most), 0).r,
    texelFetch(uShadowMap, min(from + ivec2(0, 1), most), 0).r,
    texelFetch(uShadowMap, min(from + ivec2(1, 1), most), 0).r);
  vec4 lit = step(vec4(depth), before);
  vec2 rows = mix(lit.xz, lit.yw, share.x);
  return mix(rows.x, rows.y, share.y);
}

// a place a little before the surface, so that it does not hide itself: by pixels of the view, more where light grazes it
vec3 shadowLift(Surface s, vec3 from, float px) {
  float along = clamp(dot(s.n, from), 0.0, 1.0);
  return s.n * (px * (0.8 + 1.6 * sqrt(1.0 - along * along))) + from * (0.5 * px);
}

// seen by one view. focal: pixels a metre one metre away; flat_: above 0 without perspective
float shadowIn(int square, mat4 view, float focal, float flat_, float far, Surface s, vec3 from) {
  float away = flat_ > 0.0 ? 1.0 : max(0.03, -(view * vec4(s.place, 1.0)).z);
  vec3 v = (view * vec4(s.place + shadowLift(s, from, away / focal), 1.0)).xyz;
  float d = -v.z;
  vec2 px = v.xy * (focal / (flat_ > 0.0 ? 1.0 : max(d, 1e-4))) + 0.5 * uShadowSide;
  // beyond its view, and behind it, nothing is known to be in the way
  if (d <= 0.03 || d >= far || any(lessThan(px, vec2(0.0))) || any(greaterThan(px, vec2(uShadowSide)))) return 1.0;
  return shadowAt(square, px, shadowDepth(d, flat_, far));
}

// seen by the six views of a light that shines every way: along x, y and z, each onwards and back
float shadowAround(int square, vec3 place, float focal, float far, Surface s) {
  vec3 to = s.place - place;
  vec3 lifted = to + shadowLift(s, normalize(-to), length(to) / focal);
  vec3 a = abs(lifted);
  int axis = a.x >= a.y && a.x >= a.z ? 0 : a.y >= a.z ? 1 : 2;
  float along = axis == 0 ? lifted.x : axis == 1 ? lifted.y : lifted.z;
  float way = along < 0.0 ? -1.0 : 1.0;
  vec2 p = axis == 0 ? vec2(way * lifted.z, lifted.y) : axis == 1 ? vec2(way * lifted.x, lifted.z) : vec2(-way * lifted.x, lifted.y);
  float d = abs(along);
  if (d <= 0.03 || d >= far) return 1.0;
  return shadowAt(square + 2 * axis + (way < 0.0 ? 1 : 0), p * (focal / d) + 0.5 * uShadowSide, shadowDepth(d, 0.0, far));
}
