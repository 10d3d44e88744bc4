// What a model says it is made of (glTF 2.0, §3.9). WORN is defined where there is a model; MAPPED where it has pictures.
#define TINT uMaterial[0].w
#define ROUGH_BY uMaterial[1].x
#define LIT_BY uMaterial[1].y

#ifdef WORN
uniform highp sampler2D uWorn; // four texels a material, see worn.ts
in vec3 vWorn;            // where on its pictures, and its material
#ifdef DYED
in vec3 vDye;
#endif
#ifdef MAPPED
uniform mediump sampler2DArray uLightMaps; // colours and light, as light
uniform mediump sampler2DArray uFlatMaps;  // roughness, metal and relief, as numbers
#endif

vec4 wornRow(int row) { return texelFetch(uWorn, ivec2(row, int(vWorn.z + 0.5)), 0); }

Matter matterOf(Body b) {
  vec4 colour = wornRow(0);
  vec4 manner = wornRow(1); // roughness, metal, what is less far there is not at all, relief
  vec3 light = wornRow(2).rgb;
#ifdef DYED
  colour.rgb *= vDye;
#endif
#ifdef MAPPED
  vec4 maps = wornRow(3);
  if (maps.x >= 0.0) colour *= texture(uLightMaps, vec3(vWorn.xy, maps.x));
  if (maps.y >= 0.0) manner.xy *= texture(uFlatMaps, vec3(vWorn.xy, maps.y)).gb;
  if (maps.z >= 0.0) light *= texture(uLightMaps, vec3(vWorn.xy, maps.z)).rgb;
#endif
  // cut off where it is not there, and there all over where nothing blends
  float there = manner.z >= 0.0 ? step(manner.z, colour.a) : colour.a;
  vec3 own = colour.rgb * mix(vec3(1.0), b.base, TINT);
  light *= LIT_BY;
  // matter gives off its own colour: what gives off another takes on its hue, and is as bright in all else as it was
  float most = max(max(light.r, light.g), light.b);
  float bright = max(max(max(own.r, own.g), own.b), 0.02);
  float lamp = clamp(most / (0.05 * bright), 0.0, 1.0);
  own = mix(own, light / max(most, 1e-6) * bright, lamp);
  return Matter(own, clamp(manner.x * ROUGH_BY * b.rough, 0.02, 1.0), manner.y, b.glow + lamp * most / bright, there);
}

#ifdef RELIEF
// which way a place faces as its picture of relief says, in the frame of how its place on it goes over the screen (Schüler, "Normal
// Mapping without Precomputed Tangents", ShaderX5, 2006)
vec3 relieved(vec3 n, vec3 place) {
  vec4 maps = wornRow(3);
  if (maps.w < 0.0) return n;
  vec3 turn = texture(uFlatMaps, vec3(vWorn.xy, maps.w)).xyz * 2.0 - 1.0;
  turn.xy *= wornRow(1).w;
  vec3 px = dFdx(place);
  vec3 py = dFdy(place);
  vec2 ux = dFdx(vWorn.xy);
  vec2 uy = dFdy(vWorn.xy);
  vec3 across = cross(py, n);
  vec3 along = cross(n, px);
  vec3 t = across * ux.x + along * uy.x;
  vec3 b = across * ux.y + along * uy.y;
  float most = max(dot(t, t), dot(b, b));
  if (most <= 0.0) return n;
  float scale = inversesqrt(most);
  // its green goes up, and its rows run down
  return normalize(t * scale * turn.x - b * scale * turn.y + n * max(turn.z, 0.05));
}
#endif
#else
Matter matterOf(Body b) { return Matter(b.base, clamp(0.5 * ROUGH_BY * b.rough, 0.02, 1.0), 0.0, b.glow, 1.0); }
#endif
