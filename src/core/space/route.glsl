// A route and the space around it: straight or a helix about the -z axis, or a drawn track that closes or goes on from tile
// to tile. The frame turns x, y, z of the layer to right, up and backwards along the route.
// A helix counter-rotates its frame against the winding, which is the rotation-minimising frame with the leftover twist of
// a whole turn spread evenly: it repeats exactly after every turn, and the horizon stays where it is.
// @shared routeFrame
// @include ./rotation.glsl

// a table's entry for one node of the track, and of the upright there
vec3 trackNode(sampler2D track, int node) { return texelFetch(track, ivec2(node * 2, 0), 0).xyz; }
vec3 trackUpright(sampler2D track, int node) { return texelFetch(track, ivec2(node * 2 + 1, 0), 0).xyz; }

// course: radius of the helix in metres (0: straight), its turns per metre of advance, nodes of a drawn track (0: there is
// none), metres along -z the track gains each time round (0: it closes); period: metres of advance once round it; track: a
// uniform cubic B-spline of places and uprights. pace: metres covered per metre of advance.
void routeFrame(float advance, vec4 course, float period, sampler2D track, out vec3 origin, out vec4 frame, out float pace) {
  if (course.z > 0.0) {
    float round_ = advance / period;
    float whole = floor(round_);
    float at = (round_ - whole) * course.z;
    int node = min(int(at), int(course.z) - 1);
    float f = at - float(node);
    float g = 1.0 - f;
    vec4 weight = vec4(g * g * g, 3.0 * f * f * f - 6.0 * f * f + 4.0, 3.0 * g * g * g - 6.0 * g * g + 4.0, f * f * f) / 6.0;
    vec4 rate = vec4(-g * g, 3.0 * f * f - 4.0 * f, 4.0 * g - 3.0 * g * g, f * f) * 0.5;
    vec3 a = trackNode(track, node);
    vec3 b = trackNode(track, node + 1);
    vec3 c = trackNode(track, node + 2);
    vec3 d = trackNode(track, node + 3);
    origin = a * weight.x + b * weight.y + c * weight.z + d * weight.w - vec3(0.0, 0.0, course.w * whole);
    vec3 along = a * rate.x + b * rate.y + c * rate.z + d * rate.w;
    float quick = length(along);
    pace = quick * course.z / period;
    vec3 back = along / -max(quick, 1e-9);
    vec3 up = trackUpright(track, node) * weight.x + trackUpright(track, node + 1) * weight.y
            + trackUpright(track, node + 2) * weight.z + trackUpright(track, node + 3) * weight.w;
    vec3 right = normalize(cross(up, back));
    frame = quatFrom(right, cross(back, right), back);
  } else {
    float turn = advance * course.y;
    float s = sinTurn(turn);
    float c = cosTurn(turn);
    origin = vec3(course.x * c, course.x * s, -advance);
    float slope = course.x * TAU * course.y;
    // leaning from straight ahead into the tangent is one rotation about the direction outwards
    pace = sqrt(1.0 + slope * slope);
    float inv = 1.0 / pace;
    float half_ = sqrt(0.5 + 0.5 * inv);
    float across = slope >= 0.0 ? sqrt(max(0.0, 0.5 - 0.5 * inv)) : -sqrt(max(0.0, 0.5 - 0.5 * inv));
    frame = vec4(c * across, s * across, 0.0, half_);
  }
}

// From the nearest place of a drawn track of so many nodes to a place, in metres; round_: how much of the way round it that is, 0..1.
// Without nodes it looks at nothing: without a graphics card both sides of a condition are worked out, but not a loop that nobody needs.
vec3 fromTrack(vec3 place, vec4 course, sampler2D track, int nodes, out float round_) {
  vec3 before = trackNode(track, 0);
  vec3 here = trackNode(track, 1);
  vec3 from = vec3(0.0);
  vec3 nearest = vec3(1e9);
  round_ = 0.0;
  for (int i = 0; i < nodes + 1; i++) {
    vec3 after = trackNode(track, i + 2);
    vec3 to = (before + here * 4.0 + after) / 6.0;
    if (i > 0) {
      vec3 step_ = to - from;
      vec3 away = place - from;
      if (course.w > 0.0) away.z -= course.w * floor(away.z / course.w + 0.5);
      float on = clamp(dot(away, step_) / max(dot(step_, step_), 1e-12), 0.0, 1.0);
      vec3 off = away - step_ * on;
      if (dot(off, off) < dot(nearest, nearest)) {
        nearest = off;
        round_ = (float(i - 1) + on) / float(nodes);
      }
    }
    from = to;
    before = here;
    here = after;
  }
  return nearest;
}

// How much of a layer's way along its route is behind a place: of a drawn one, the share of the way round it, 0..1; of others the
// advance in spans, which goes on. asked: 0 where nobody asks.
float wayAlong(vec3 place, float span, vec4 course, sampler2D track, int asked) {
  float round_;
  fromTrack(place, course, track, asked * int(course.z), round_);
  return course.z > 0.0 ? round_ : -place.z / span;
}
