// One particle of a stream in closed form: nothing is stepped, any moment stands alone.
// @choice streamForm point box plane ball disc surface
// @choice streamPlace age chance group birth
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

// births per lap, of which the first `drawn` are shown; step is a whole number without a common factor: it spreads any first ones evenly over the lap;
// generations: how many laps the longest life spans; seconds of a lap; form: 0 point, 1 box, 2 plane, 3 ball, 4 disc,
// 5 surface of a body (rest holds the place); extent in metres; speed m/s along heading (unit vector), spread 0 straight on
// .. 1 in every direction, outwards: 1 along the emitter's own surface instead; life in seconds, lifeSpread and early:
// shares of it; drag per second; wind m/s; gravity m/s²; turbulence: metres an old particle is carried, whirl: its noise, and a table
// of the moment (noise/moment.glsl);
// groups, and the factors from each to the next of speed, life, drag and size; travel: metres per lap the emitter moves on
// its route, circle: metres of the ring it goes around, turns of it per lap; profiles: size and light over life; placeBy: 0 by
// age, 1 by chance, 2 by group, 3 by time of birth.
void streamElement(uint id, vec4 rest, uint seed, int births, int drawn, int step_, int generations, float seconds, int form, vec3 extent,
                   vec3 heading, float speed, float speedSpread, float spread, int outwards, float life, float lifeSpread,
                   float early, float drag, vec3 wind, vec3 gravity, float turbulence, vec3 whirlScale, ivec3 whirlPeriod,
                   int whirlCycles, sampler2D whirl, ivec3 whirlFrom, ivec3 whirlSize, int whirlOctaves, int groups, vec4 groupFactors, float travel, float tile, float circle, float circleTurns,
                   vec4 course, sampler2D track, float routeOn, float radius, float variation, vec4 sizeA, vec4 sizeB,
                   vec4 lightA, vec4 lightB, int placeBy, float placeSpread, float lap, out vec3 position, out vec4 rotation,
                   out float size, out float place, out float light, out float fade, out float order, out uint key) {
  int index = int(id);
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
  float age = since * seconds;
  int group = slot % groups;
  float many = float(group);
  float lasting = life * (1.0 + (unit(h.y) * 2.0 - 1.0) * lifeSpread) * pow(groupFactors.y, many);
  if (unit(h.z) < early) lasting *= 0.15 + 0.75 * unit(h.w);
  float t = age / max(lasting, 1e-4);
  fade = t < 1.0 ? 1.0 : 0.0;
  t = min(t, 1.0);
  order = born;

  vec3 at;
  vec3 outward;
  streamBirth(form, extent, vec4(unit(g.x), unit(g.y), unit(g.z), unit(g.w)), rest, at, outward);
  vec3 aim = outwards == 1 ? outward : heading;
  vec3 loose = sphereDirection(unit(f.x), unit(f.y));
  aim = mix(aim, loose, spread);
  aim *= inversesqrt(dot(aim, aim) + 1e-9);
  vec3 v0 = aim * (speed * (1.0 + (unit(f.z) * 2.0 - 1.0) * speedSpread) * pow(groupFactors.x, many));

  // where the emitter was at birth, and how fast it went
  float then = lap - since;
  vec3 from = vec3(0.0);
  vec3 going = vec3(0.0);
  if (circle != 0.0) {
    float turn = then * circleTurns;
    from = vec3(sinTurn(turn) * circle, cosTurn(turn) * circle, 0.0);
    going = vec3(from.y, -from.x, 0.0) * (TAU * circleTurns / seconds);
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
  float k = drag * pow(groupFactors.z, many);
  float x = k * age;
  float slow = x < 0.02 ? age * (1.0 - x * 0.5 + x * x * (1.0 / 6.0)) : (1.0 - exp(-x)) / k;
  float fall = x < 0.02 ? age * age * (0.5 - x * (1.0 / 6.0) + x * x * (1.0 / 24.0)) : (age - slow) / k;
  position = from + at + v0 * slow + wind * (age - slow) + gravity * fall;
  if (turbulence > 0.0) {
    ivec3 first;
    ivec3 many;
    windowOf(whirlFrom, whirlSize, 0, whirlOctaves, first, many);
    vec3 carried = curlAt(position * whirlScale, whirlPeriod, seed + 61u, lap, whirlCycles, whirl, 0, first, many);
    // grows with age, so nothing jumps at birth
    position += carried * (turbulence * 0.39 * t * (2.0 - t));
  }
  float grown = pow(groupFactors.w, many);
  size = radius * grown * exp2((unit(f.w) * 2.0 - 1.0) * variation) * profileAt(sizeA, sizeB, t);
  light = profileAt(lightA, lightB, t);
  place = placeBy == STREAM_PLACE_AGE ? t : placeBy == STREAM_PLACE_CHANCE ? unit(pcg4d(uvec4(key, seed, 57u, 0u)).x)
        : placeBy == STREAM_PLACE_GROUP ? many / max(1.0, float(groups - 1)) : born;
  place = clamp(0.5 + (place - 0.5) * placeSpread, 0.0, 1.0);
}
