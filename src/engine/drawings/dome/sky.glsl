// A sky at any distance: colours by height above the horizon, long clouds that break them up, and stars.
// Needs random/hash.glsl.
uniform sampler2D uSkyGradient;  // from straight below to straight above
uniform vec4 uSky;               // brightness (0: there is none), gathering about the horizon, clouds, turns of their cycle
uniform vec4 uStars;             // how many 0..1, brightness, whole beats per lap at most, phase of the lap
uniform uint uSkySeed;

// d: unit direction in the world
vec3 skyColour(vec3 d) {
  float up = sign(d.y) * (1.0 - exp(-abs(d.y) * uSky.y)) / (1.0 - exp(-uSky.y));
  float turn = 6.2831853 * uSky.w;
  float around = atan(d.x, -d.z);
  float band = sin(around * 3.0 + up * 17.0 + turn) + 0.7 * sin(around * 5.0 - up * 29.0 - turn + 1.7)
             + 0.5 * sin(around * 2.0 + up * 43.0 + sin(around * 4.0 + turn) * 1.3);
  up += band * uSky.z * 0.09 * exp(-3.0 * abs(d.y));
  return textureLod(uSkyGradient, vec2(0.5 + 0.5 * clamp(up, -1.0, 1.0), 0.5), 0.0).rgb * uSky.x;
}

const float CELLS = 90.0;

// stars of this direction's cell and its neighbours; perRadian: pixels
vec3 starLight(vec3 d, float perRadian) {
  if (uStars.x <= 0.0 || d.y < -0.05) return vec3(0.0);
  // on the plane through the zenith, folded from the octahedron
  vec3 o = d / (abs(d.x) + abs(d.y) + abs(d.z));
  vec2 at = (o.y >= 0.0 ? o.xz : (1.0 - abs(o.zx)) * sign(o.xz)) * CELLS;
  vec2 cell = floor(at);
  vec3 sum = vec3(0.0);
  for (int dx = -1; dx <= 1; dx++)
    for (int dy = -1; dy <= 1; dy++) {
      vec2 c = cell + vec2(float(dx), float(dy));
      uvec4 h = pcg4d(uvec4(uint(int(c.x) + 4096), uint(int(c.y) + 4096), uSkySeed, 66u));
      if (unit(h.x) > uStars.x) continue;
      vec2 p = (c + vec2(unit(h.y), unit(h.z))) / CELLS;
      vec3 s = vec3(p.x, 1.0 - abs(p.x) - abs(p.y), p.y);
      if (s.y < 0.0) continue;
      float away = length(normalize(s) - d) * perRadian;
      uvec4 g = pcg4d(uvec4(h.w, uSkySeed, 67u, 0u));
      // few bright, many faint: a steep law, as the real sky has
      float bright = pow(max(unit(g.x), 1e-3), -0.45) * 0.25;
      float beats = floor(1.0 + unit(g.y) * uStars.z);
      float beat = uStars.z > 0.5 ? 0.75 + 0.25 * sin(6.2831853 * (beats * uStars.w + unit(g.z))) : 1.0;
      vec3 hue = mix(vec3(0.75, 0.85, 1.0), vec3(1.0, 0.88, 0.72), unit(g.w));
      sum += hue * (bright * beat * exp(-away * away * 0.9));
    }
  return sum * (uStars.y * smoothstep(-0.02, 0.25, d.y));
}
