// One particle of a stream in closed form: nothing is stepped, any moment stands alone.
// @choice streamForm point box plane ball disc surface
// @choice streamPlace age chance group birth along
// @kernel stream streamElement id rest
// @include ../../random/hash.glsl
// @include ../../noise/moment.glsl
// @include ../../space/route.glsl
// @include ../../space/profile.glsl

// where within the emitter it is born, and the direction its surface looks in there
void streamBirth(int form, vec3 extent, vec4 u, vec4 rest, out vec3 at, out vec3 outward) {
  at = vec3(0.0);
  outward = sphereDirection(u.x, u.y);
  if (form == STREAM_FORM_BOX) at = (u.xyz - 0.5) * extent;
  if (form == STREAM_FORM_PLANE) {
    // a plane lies flat, its side up
    at = vec3(u.x - 0.5, 0.0, u.y - 0.5) * extent;
    outward = vec3(0.0, 1.0, 0.0);
  }
  if (form == STREAM_FORM_BALL) at = outward * extent * 0.5;
  if (form == STREAM_FORM_DISC) {
    at = vec3(cosTurn(u.x), 0.0, sinTurn(u.x)) * sqrt(u.y) * extent * 0.5;
    outward = vec3(0.0, 1.0, 0.0);
  }
  if (form == STREAM_FORM_SURFACE) {
    at = rest.xyz;
    outward = rest.xyz * inversesqrt(dot(rest.xyz, rest.xyz) + 1e-9);
  }
}

// Where an emitter is that something carries, and how far it goes in a lap at that pace, through four of `samples` places of the lap around (Catmull and
// Rom, Computer Aided Geometric Design, 1974). gain: what the carrier is farther on after a lap.
void carriedAt(sampler2D way, int samples, vec3 gain, float lap, out vec3 at, out vec3 pace) {
  float many = float(samples);
  float laps = floor(lap);
  float x = (lap - laps) * many;
  int i1 = min(int(x), samples - 1);
  float u = x - float(i1);
  int i0 = i1 == 0 ? samples - 1 : i1 - 1;
  int i2 = i1 + 1 == samples ? 0 : i1 + 1;
  int i3 = i2 + 1 == samples ? 0 : i2 + 1;
  vec3 p0 = texelFetch(way, ivec2(i0 & 1023, i0 >> 10), 0).xyz - (i1 == 0 ? gain : vec3(0.0));
  vec3 p1 = texelFetch(way, ivec2(i1 & 1023, i1 >> 10), 0).xyz;
  vec3 p2 = texelFetch(way, ivec2(i2 & 1023, i2 >> 10), 0).xyz + (i1 + 1 == samples ? gain : vec3(0.0));
  vec3 p3 = texelFetch(way, ivec2(i3 & 1023, i3 >> 10), 0).xyz + (i1 + 2 >= samples ? gain : vec3(0.0));
  vec3 m1 = (p2 - p0) * 0.5;
  vec3 m2 = (p3 - p1) * 0.5;
  float u2 = u * u;
  float u3 = u2 * u;
  at = p1 * (2.0 * u3 - 3.0 * u2 + 1.0) + m1 * (u3 - 2.0 * u2 + u) + p2 * (3.0 * u2 - 2.0 * u3) + m2 * (u3 - u2) + gain * laps;
  pace = ((p2 - p1) * (6.0 * (u - u2)) + m1 * (3.0 * u2 - 4.0 * u + 1.0) + m2 * (3.0 * u2 - 2.0 * u)) * many;
}

// births per lap, of which the first `drawn` are shown; step is a whole number without a common factor: it spreads any first ones evenly over the lap;
// generations: how many laps the longest life spans; seconds of a lap; form: 0 point, 1 box, 2 plane, 3 ball, 4 disc,
// 5 surface of a body (rest holds the place); extent in metres; speed m/s along heading (unit vector), spread 0 straight on
// .. 1 in every direction, outwards: 1 along the emitter's own surface instead; life in seconds, lifeSpread and early:
// shares of it; drag per second; wind m/s; gravity m/s²; turbulence: metres an old particle is carried, whirl: its noise, and a table
// of the moment (noise/moment.glsl);
// groups: how many, and a table: for each of groupRows particles that follow one another the number of its group, then of each group the factors of speed, spread,
// life and drag, of turbulence, wind and size, and between which places on the gradient it lies; travel: metres per lap the emitter moves on
// its route, circle: metres of the ring it goes around, turns of it per lap; profiles: size and light over life; nodes: places that a ribbon has, its head and earlier ones, 1 where there are none, a share nodeStep of the lap apart, with
// profiles of width and light along it; carried: 1 by something, whose way is a table of places over the lap; placeBy: 0 by
// age, 1 by chance, 2 by group, 3 by time of birth, 4 along the ribbon.
void streamElement(uint id, vec4 rest, uint seed, int births, int drawn, int step_, int generations, float seconds, int form, vec3 extent,
                   vec3 heading, float speed, float speedSpread, float spread, int outwards, float life, float lifeSpread,
                   float early, float drag, vec3 wind, vec3 gravity, float turbulence, vec3 whirlScale, ivec3 whirlPeriod,
                   int whirlCycles, sampler2D whirl, ivec3 whirlFrom, ivec3 whirlSize, int whirlOctaves, int groups, int groupRows, sampler2D groupTable, float travel, float tile, float circle, float circleTurns,
                   vec4 course, sampler2D track, float routeOn, float radius, float variation, vec4 sizeA, vec4 sizeB,
                   vec4 lightA, vec4 lightB, int nodes, float nodeStep, vec4 widthA, vec4 widthB, vec4 fadeA, vec4 fadeB, int carried, sampler2D way,
                   int waySamples, vec3 wayGain, int placeBy, float placeSpread, float lap, out vec3 position, out vec4 rotation,
                   out float size, out float place, out float light, out float fade, out float order, out uint key) {
  int whole = int(id);
  int index = whole / nodes;
  int node = whole - index * nodes;
  int generation = index / drawn;
  int slot = index - generation * drawn;
  key = uint(slot);
  uvec4 h = pcg4d(uvec4(key, seed, 54u, 0u));
  uvec4 g = pcg4d(uvec4(key, seed, 55u, 0u));
  uvec4 f = pcg4d(uvec4(key, seed, 56u, 0u));
  // births are stratified: one in each of `births` equal stretches of the lap, at a place of its own within it
  float born = (float((uint(slot) * uint(step_)) % uint(births)) + unit(h.x)) / float(births);
  // each goes once around all the laps a life may span, so that it is gone whenever it begins anew: at the seam of a lap
  // every one takes the place of the one before it
  float spans = float(generations);
  float since = fract((lap - born + float(generation)) / spans) * spans;
  // an earlier place of its way is where it was then
  float earlier = float(node) * nodeStep;
  float now = lap - earlier;
  float age = max(0.0, (since - earlier) * seconds);
  int row = slot % groupRows;
  float many = texelFetch(groupTable, ivec2(row & 1023, row >> 10), 0).x;
  int entry = groupRows + int(many) * 3;
  vec4 moves = texelFetch(groupTable, ivec2(entry & 1023, entry >> 10), 0);
  int second = entry + 1;
  vec4 carries = texelFetch(groupTable, ivec2(second & 1023, second >> 10), 0);
  int third = entry + 2;
  vec4 colours = texelFetch(groupTable, ivec2(third & 1023, third >> 10), 0);
  float lasting = life * (1.0 + (unit(h.y) * 2.0 - 1.0) * lifeSpread) * moves.z;
  if (unit(h.z) < early) lasting *= 0.15 + 0.75 * unit(h.w);
  float t = age / max(lasting, 1e-4);
  fade = t < 1.0 && since >= earlier ? 1.0 : 0.0;
  t = min(t, 1.0);
  order = born;

  vec3 at;
  vec3 outward;
  streamBirth(form, extent, vec4(unit(g.x), unit(g.y), unit(g.z), unit(g.w)), rest, at, outward);
  vec3 aim = outwards == 1 ? outward : heading;
  vec3 loose = sphereDirection(unit(f.x), unit(f.y));
  aim = mix(aim, loose, min(1.0, spread * moves.y));
  aim *= inversesqrt(dot(aim, aim) + 1e-9);
  vec3 v0 = aim * (speed * (1.0 + (unit(f.z) * 2.0 - 1.0) * speedSpread) * moves.x);

  // where the emitter was at birth, and how fast it went
  float then = lap - since;
  vec3 from = vec3(0.0);
  vec3 going = vec3(0.0);
  if (circle != 0.0) {
    float turn = then * circleTurns;
    from = vec3(sinTurn(turn) * circle, cosTurn(turn) * circle, 0.0);
    going = vec3(from.y, -from.x, 0.0) * (TAU * circleTurns / seconds);
  }
  if (carried == 1) {
    vec3 brought;
    vec3 pace;
    carriedAt(way, waySamples, wayGain, then, brought, pace);
    from += brought;
    going += pace / seconds;
  }
  rotation = vec4(0.0, 0.0, 0.0, 1.0);
  if (routeOn > 0.5) {
    // the route repeats, so only the place within it counts
    float advance = fract(then * travel / tile) * tile;
    float pace;
    vec3 origin;
    vec4 frame;
    routeFrame(advance, course, tile, track, origin, frame, pace);
    from = origin + rotateBy(frame, from);
    going = rotateBy(frame, going) + rotateBy(frame, vec3(0.0, 0.0, -1.0)) * (travel * pace / seconds);
    at = rotateBy(frame, at);
    v0 = rotateBy(frame, v0);
  }
  v0 += going;

  // dv/dt = k (wind - v) + gravity, solved; as k goes to 0 by its series
  float k = drag * moves.w;
  float x = k * age;
  float slow = x < 0.02 ? age * (1.0 - x * 0.5 + x * x * (1.0 / 6.0)) : (1.0 - exp(-x)) / k;
  float fall = x < 0.02 ? age * age * (0.5 - x * (1.0 / 6.0) + x * x * (1.0 / 24.0)) : (age - slow) / k;
  position = from + at + v0 * slow + wind * (carries.y * (age - slow)) + gravity * fall;
  if (turbulence > 0.0) {
    ivec3 first;
    ivec3 many;
    windowOf(whirlFrom, whirlSize, 0, whirlOctaves, first, many);
    vec3 carried_ = curlAt(position * whirlScale, whirlPeriod, seed + 61u, now, whirlCycles, whirl, 0, first, many);
    // grows with age, so nothing jumps at birth
    position += carried_ * (turbulence * carries.x * 0.39 * t * (2.0 - t));
  }
  size = radius * carries.z * exp2((unit(f.w) * 2.0 - 1.0) * variation) * profileAt(sizeA, sizeB, t);
  light = profileAt(lightA, lightB, t);
  float back = nodes > 1 ? float(node) / float(nodes - 1) : 0.0;
  if (nodes > 1) {
    size *= profileAt(widthA, widthB, back);
    light *= profileAt(fadeA, fadeB, back);
  }
  place = placeBy == STREAM_PLACE_AGE ? t : placeBy == STREAM_PLACE_CHANCE ? unit(pcg4d(uvec4(key, seed, 57u, 0u)).x)
        : placeBy == STREAM_PLACE_GROUP ? many / max(1.0, float(groups - 1)) : placeBy == STREAM_PLACE_ALONG ? back : born;
  place = clamp(0.5 + (place - 0.5) * placeSpread, 0.0, 1.0);
  place = mix(colours.x, colours.y, place);
}
