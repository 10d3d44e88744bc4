// The stars of a sky, one a cell of the octahedron's upper half, which lies on the plane through the zenith. Needs
// random/hash.glsl.
uniform vec4 uStars;         // how many 0..1, brightness, whole beats per lap at most, phase of the lap
uniform uint uSkySeed;
uniform float uShare;
uniform mat4 uView;
uniform vec2 uJitter;
flat out vec3 fStar;         // its direction
flat out vec3 fLight;

void main() {
  gl_Position = vec4(2.0, 2.0, 2.0, 1.0);
  gl_PointSize = 1.0;
  fStar = vec3(0.0);
  fLight = vec3(0.0);
  vec2 c = vec2(float(gl_VertexID % (2 * CELLS)), float(gl_VertexID / (2 * CELLS))) - float(CELLS);
  uvec4 h = pcg4d(uvec4(uint(int(c.x) + 4096), uint(int(c.y) + 4096), uSkySeed, 66u));
  if (unit(h.x) > uStars.x) return;
  vec2 p = (c + vec2(unit(h.y), unit(h.z))) / float(CELLS);
  float up = 1.0 - abs(p.x) - abs(p.y);
  if (up < 0.0) return;
  vec3 s = normalize(vec3(p.x, up, p.y));
  vec3 v = mat3(uView) * s;
  if (v.z > -0.02) return;
  vec2 at = v.xy * (uPixelFocal / -v.z) + uJitter;
  if (any(greaterThan(abs(at), 0.5 * uPicture + 4.0))) return;
  // away from the middle of a wide picture a pixel is a smaller angle
  gl_PointSize = min(8.0 / (v.z * v.z), 64.0);
  gl_Position = vec4(2.0 * at / uPicture, 0.0, 1.0);
  uvec4 g = pcg4d(uvec4(h.w, uSkySeed, 67u, 0u));
  // few bright, many faint: a steep law, as the real sky has
  float bright = pow(max(unit(g.x), 1e-3), -0.45) * 0.25;
  float beats = floor(1.0 + unit(g.y) * uStars.z);
  float beat = uStars.z > 0.5 ? 0.75 + 0.25 * sin(6.2831853 * (beats * uStars.w + unit(g.z))) : 1.0;
  vec3 hue = mix(vec3(0.75, 0.85, 1.0), vec3(1.0, 0.88, 0.72), unit(g.w));
  fStar = s;
  fLight = hue * (bright * beat * uShare * uStars.y * smoothstep(-0.02, 0.25, s.y)) * clearMist(uView, v * uAir.z);
}
