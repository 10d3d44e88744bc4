// Which cells of a grid may have lines in some pass of a frame. Needs frame/view.glsl, ink/draws.glsl and seen/sides.glsl.
uniform mat4 uViewOpen;
uniform mat4 uViewMid;
uniform mat4 uViewClose;
uniform float uTile;

// how far a place with a normal faces the lens, from its middle
float facesBy(mat4 view, vec3 p, vec3 n) {
  return dot(mat3(view) * n, uFlat > 0.0 ? vec3(0.0, 0.0, 1.0) : normalize(-(view * vec4(p, 1.0)).xyz));
}

// Widens a range by how far a place faces the lens while the shutter is open. n: of length 1, or 0 where there is none
void facesBetween(inout vec2 range, vec3 open, vec3 shut, vec3 n) {
  vec3 f = vec3(facesBy(uViewOpen, open, n), facesBy(uViewMid, mix(open, shut, 0.5), n), facesBy(uViewClose, shut, n));
  range.x = min(range.x, min(f.x, min(f.y, f.z)));
  range.y = max(range.y, max(f.x, max(f.y, f.z)));
}

// whether something whose places face the lens so far may turn away from a point of it
bool mayTurn(vec2 range, vec3 at) {
  float away = max(length((uViewMid * vec4(at, 1.0)).xyz), 0.05);
  float aside = 0.003 + uApertureHalf * max(uAperture.z, 1.0) * 1.5 / away;
  return range.x < aside && range.y > -aside;
}

// A little more than what the creases of a pass are asked for: while the shutter is open things turn
bool mayFold(vec3 one, vec3 beyond) {
  float sizes = dot(one, one) * dot(beyond, beyond);
  return sizes > 1e-24 && drawsCreases(dot(one, beyond) * inversesqrt(sizes) - 0.02);
}

// whether a ball with places at its edge is out of sight
bool cellUnseen(vec3 open, vec3 shut, float radius, out float depth) {
  vec3 v0 = (uViewOpen * vec4(open, 1.0)).xyz;
  vec3 v1 = (uViewMid * vec4(mix(open, shut, 0.5), 1.0)).xyz;
  vec3 v2 = (uViewClose * vec4(shut, 1.0)).xyz;
  depth = -v1.z;
  return unseen(v0, v1, v2, radius);
}
