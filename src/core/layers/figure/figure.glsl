// One joint of one of several figures that go through the same stretch of a motion, or a particle on one of its bones. Result about the middle of
// their arrangement; placement follows.
// @choice figurePlace joint figure chance height
// @kernel figure figureElement id rest
// @include ../../random/hash.glsl
// @include ../../arrangement/arrangement.glsl

// Where a bone is and how it is turned between two moments of the stretch, through the four around it: the cubic whose speeds are the means of the
// steps beside (Catmull and Rom, Computer Aided Geometric Design, 1974), round and round, so places and speeds meet where it closes.
void boneAt(sampler2D moves, int joint, int joints, int samples, float at, out vec3 position, out vec4 rotation) {
  float whole = floor(at);
  float u = at - whole;
  int i1 = int(whole) % samples;
  int i0 = (i1 + samples - 1) % samples;
  int i2 = (i1 + 1) % samples;
  int i3 = (i1 + 2) % samples;
  int e0 = (i0 * joints + joint) * 2;
  int f0 = e0 + 1;
  int e1 = (i1 * joints + joint) * 2;
  int f1 = e1 + 1;
  int e2 = (i2 * joints + joint) * 2;
  int f2 = e2 + 1;
  int e3 = (i3 * joints + joint) * 2;
  int f3 = e3 + 1;
  float u2 = u * u;
  float u3 = u2 * u;
  float w0 = 0.5 * (2.0 * u2 - u3 - u);
  float w1 = 0.5 * (3.0 * u3 - 5.0 * u2 + 2.0);
  float w2 = 0.5 * (4.0 * u2 - 3.0 * u3 + u);
  float w3 = 0.5 * (u3 - u2);
  vec4 p0 = texelFetch(moves, ivec2(e0 & 1023, e0 >> 10), 0);
  vec4 p1 = texelFetch(moves, ivec2(e1 & 1023, e1 >> 10), 0);
  vec4 p2 = texelFetch(moves, ivec2(e2 & 1023, e2 >> 10), 0);
  vec4 p3 = texelFetch(moves, ivec2(e3 & 1023, e3 >> 10), 0);
  position = p0.xyz * w0 + p1.xyz * w1 + p2.xyz * w2 + p3.xyz * w3;
  vec4 q0 = texelFetch(moves, ivec2(f0 & 1023, f0 >> 10), 0);
  vec4 q1 = texelFetch(moves, ivec2(f1 & 1023, f1 >> 10), 0);
  vec4 q2 = texelFetch(moves, ivec2(f2 & 1023, f2 >> 10), 0);
  vec4 q3 = texelFetch(moves, ivec2(f3 & 1023, f3 >> 10), 0);
  // a turn and its opposite are the same: each the way of the second
  float s0 = dot(q0, q1) < 0.0 ? -1.0 : 1.0;
  float s2 = dot(q2, q1) < 0.0 ? -1.0 : 1.0;
  float s3 = s2 * (dot(q3, q2) < 0.0 ? -1.0 : 1.0);
  rotation = q0 * (w0 * s0) + q1 * w1 + q2 * (w2 * s2) + q3 * (w3 * s3);
  rotation = rotation * inversesqrt(max(1e-12, dot(rotation, rotation)));
}

// id counts joints of all figures, the first joint of each first; or particles. figures: how many there are; perJoint: 0 joints are drawn, 1 particles, whose
// bones and places on them are in a table; moves: for each joint of each moment where it is, its place on the gradient, and how its bone is turned, as shares of the height;
// tall: metres; cycles: times through the stretch a lap; start, late, odd: shares of the stretch; back: 1 it is turned round; around it is
// what arranges the figures: see arrangement.glsl.
void figureElement(uint id, vec4 rest, uint seed, int figures, int particles, sampler2D moves, sampler2D places, int joints, int samples,
                   float tall, int cycles, float start, float late, float odd, int back, float radius_, int arrangement, int total,
                   ivec3 grid, vec3 spacing, float radius, float radiusEnd, float winds, float rise, int align, vec3 stepTurn,
                   vec3 stepMove, float stepScale, int placeBy, float placeSpread, float tile, vec4 course, sampler2D track, float lap,
                   out vec3 position, out vec4 rotation, out float size, out float place, out float fade, out float order, out uint key) {
  int index = int(id) / figures;
  int number = int(id) - index * figures;
  vec4 lies = particles == 1 ? texelFetch(places, ivec2(index & 1023, index >> 10), 0) : vec4(0.0, 0.0, 0.0, float(index));
  int joint = int(lies.w);
  uvec4 h = pcg4d(uvec4(uint(number), seed, 70u, 0u));
  uvec4 own = pcg4d(uvec4(uint(index), uint(number), seed, 71u));
  float through = lap * float(cycles) + start - late * float(number) - odd * unit(h.x);
  float at = (through - floor(through)) * float(samples);
  vec3 bone;
  vec4 turned;
  boneAt(moves, joint, joints, samples, at, bone, turned);
  vec3 local = bone + rotateBy(turned, lies.xyz);
  vec3 stands;
  vec4 faces;
  arranged(number, rest, arrangement, total, grid, spacing, radius, radiusEnd, winds, rise, align, stepTurn, stepMove, tile, course,
           track, stands, faces, fade, order);
  float grown = tall * pow(stepScale, order) * fade;
  if (back == 1) {
    local = vec3(-local.x, local.y, -local.z);
    turned = quatTimes(vec4(0.0, 1.0, 0.0, 0.0), turned);
  }
  position = stands + rotateBy(faces, local * grown);
  rotation = quatTimes(faces, turned);
  size = particles == 1 ? radius_ * fade : grown;
  int first = joint * 2;
  vec4 facts = texelFetch(moves, ivec2(first & 1023, first >> 10), 0);
  place = placeBy == FIGURE_PLACE_FIGURE ? order : placeBy == FIGURE_PLACE_CHANCE ? unit(own.x)
          : placeBy == FIGURE_PLACE_HEIGHT ? local.y : facts.w;
  place = clamp(0.5 + (place - 0.5) * placeSpread, 0.0, 1.0);
  key = id;
}
