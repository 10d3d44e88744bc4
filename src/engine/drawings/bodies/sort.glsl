// Which detail of its mesh a body is drawn with, 1 the finest, after the last of which come those of what is only partly there; 0
// where it is not in sight. The nearest are drawn first: what they
// hide costs little. In front of it stand the composed
// bendBody (layer/program.ts), frame/view.glsl and seen/sides.glsl.
uniform sampler2D uOpenPlace;
uniform sampler2D uClosePlace;
uniform sampler2D uOpenLook;
uniform sampler2D uOpenMark;
uniform mat4 uViewOpen;
uniform mat4 uViewMid;
uniform mat4 uViewClose;
uniform float uTile;
uniform float uRadius;     // of the farthest vertex, in units of its size; below 0: its pieces fly, so nothing is left out
uniform vec4 uErrors;      // of the details after the finest, in units of its size; negative from where there are no more

uniform ivec2 uDetails;    // how many there are; 1 where the matter is there all over
uniform float uFade;

uniform float uErrorPx;    // a coarser detail differs from the mesh by less than this many pixels

#ifdef EXCHANGED
uniform sampler2D uBodies; // which body each element shows
uniform int uBody;
#endif

vec3 bent(vec3 place, float order) {
  vec3 normal = vec3(0.0, 1.0, 0.0);
  bendBody(order, place, normal);
  return place;
}

int classOf(ivec2 texel, int repetition) {
#ifdef EXCHANGED
  if (int(texelFetch(uBodies, texel, 0).r * 255.0 + 0.5) != uBody) return 0;
#endif
  vec4 open = texelFetch(uOpenPlace, texel, 0);
  vec4 shut = texelFetch(uClosePlace, texel, 0);
  float size = max(open.w, shut.w);
  float there = texelFetch(uOpenLook, texel, 0).a;
  if (size <= 0.0 || there <= 0.0) return 0;
  vec4 mark = texelFetch(uOpenMark, texel, 0);
  float order = mark.y;
  vec3 place = mix(open.xyz, shut.xyz, 0.5);
  float stretched = size;
#ifdef BENT
  // what bends space bends and stretches bodies with it
  float reach = size * max(uRadius, 0.5);
  vec3 centre = bent(place, order);
  for (int k = 0; k < 3; k++) {
    vec3 aside = vec3(k == 0 ? reach : 0.0, k == 1 ? reach : 0.0, k == 2 ? reach : 0.0);
    float far = max(distance(bent(place + aside, order), centre), distance(bent(place - aside, order), centre));
    stretched = max(stretched, size * 1.25 * far / reach);
  }
  open.xyz = bent(open.xyz, order);
  shut.xyz = bent(shut.xyz, order);
  place = centre;
#endif
  vec3 offset = vec3(0.0, 0.0, -float(repetition) * uTile);
  vec3 v0 = (uViewOpen * vec4(open.xyz + offset, 1.0)).xyz;
  vec3 v1 = (uViewMid * vec4(place + offset, 1.0)).xyz;
  vec3 v2 = (uViewClose * vec4(shut.xyz + offset, 1.0)).xyz;
  float radius = stretched * max(uRadius, 0.0) + 0.5 * mark.z;
  if (uRadius >= 0.0 && unseen(v0, v1, v2, radius)) return 0;
  float px = stretched * uPixelFocal / over(max(-v1.z - radius, 0.05));
  int detail = 1;
  for (int k = 0; k < 4; k++) {
    if (uErrors[k] < 0.0 || uErrors[k] * px > uErrorPx) break;
    detail++;
  }
  bool partly = uDetails.y == 0 || there * uFade < ENTIRELY;
  return detail + (partly ? uDetails.x : 0) + 256 * rankOf(-v1.z);
}
