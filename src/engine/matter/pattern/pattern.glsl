// What covers matter, from a place on it to what it does. Behind it stand the `patternAt` of one kind and matter/body.glsl.
uniform mat4 uPatternFrom;      // to patches; the first three are divided by the fourth
uniform ivec3 uPatternPeriod;
uniform uint uPatternSeed;
uniform float uPatternLap;
uniform ivec3 uPatternChoice;   // of the kind's own
uniform vec4 uPatternDrives[2]; // level, contrast, how far it colours, roughens; light it gives off, relief, 1 where every body has its own, width over height
in vec3 vPattern;

// what a pattern is at a place: a number 0..1, how that changes from patch to patch, its own colour and how far it has one, and how
// far it is there
struct Pattern { float value; vec3 slope; vec3 colour; float coloured; float there; };

// p: place in patches; px, py: its change from pixel to pixel
Pattern patternAt(vec3 p, vec3 px, vec3 py, vec3 n);

// how much of what is so many patches fine is left where a pixel is so many patches wide
float leftOf(float wide) { return 1.0 - smoothstep(0.4, 1.0, wide); }

// what stands out at right angles to a surface, as it is lit: by how its height changes along the surface (Mikkelsen, "Bump Mapping
// Unparametrized Surfaces on the GPU", Journal of Graphics Tools 15(1), 2010), here from derivatives that are exact within a triangle.
// wx, wy: change of place from pixel to pixel, rise: of height
vec3 raised(vec3 n, vec3 wx, vec3 wy, vec2 rise) {
  vec3 a = cross(wy, n);
  vec3 b = cross(n, wx);
  float area = dot(wx, a);
  vec3 lean = sign(area) * (rise.x * a + rise.y * b);
  return normalize(abs(area) * n - lean);
}

void cover(inout Body b) {
  vec4 at = uPatternFrom * vec4(vPattern, 1.0);
  vec3 p = at.xyz / max(at.w, 1e-3);
  vec3 px = dFdx(p);
  vec3 py = dFdy(p);
  vec3 wx = dFdx(b.place);
  vec3 wy = dFdy(b.place);
  if (uPatternDrives[1].z > 0.5) {
    uvec4 h = pcg4d(uvec4(uint(b.mark), uPatternSeed, 7u, 31u));
    p += vec3(unit(h.x), unit(h.y), unit(h.z)) * 61.0;
  }
  Pattern found = patternAt(p, px, py, b.n);
  float steep = uPatternDrives[0].y;
  float v = (found.value - uPatternDrives[0].x) * steep + 0.5;
  vec3 slope = found.slope * (v > 0.0 && v < 1.0 ? steep : 0.0);
  v = clamp(v, 0.0, 1.0);
  float there = found.there * step(0.0, at.w);
  vec3 colour = mix(texture(uMatterColours, vec2((0.5 + 255.0 * v) / 256.0, 0.75)).rgb, found.colour, found.coloured);
  b.base = mix(b.base, colour, uPatternDrives[0].z * there);
  b.rough = clamp(b.rough + uPatternDrives[0].w * (v - 0.5) * there, 0.02, 1.0);
  b.glow += uPatternDrives[1].x * v * there;
  // metres to a patch
  float metres = sqrt((dot(wx, wx) + dot(wy, wy)) / max(dot(px, px) + dot(py, py), 1e-20));
  float high = uPatternDrives[1].y * metres * there;
  vec3 n = raised(b.n, wx, wy, high * vec2(dot(slope, px), dot(slope, py)));
  // what leans away from the eye would be seen from behind
  n += b.v * max(0.0, 0.03 - dot(n, b.v));
  b.n = high != 0.0 && dot(n, n) > 0.25 ? normalize(n) : b.n;
}
