// How much of the light is left behind mist: it lies up to a floor, thins upwards, and drifts in patches. Patches are the square of
// one and four waves that stand in the world, so that there is never less than none of it, and that what lies along a straight line
// is known in closed form: products of waves are waves, and each is integrated with the exponential of the height (any table of
// integrals, e^(ax) cos(bx)). Waves fit the tile and move on by whole ones in a lap, so the mist tiles and loops: see mist.ts, which
// writes the table of waves. Five entries for every four waves: turns a metre along x, y and z, turns at the world's middle, and how
// much there is of each; the first four are those that are squared, what follows is their square.
// @export mistDepth
// @export mistAt
// @export mistEven
// @include ../noise/turn.glsl

// Turns of four waves at a place, and turns a metre in a direction.
vec4 mistTurns(vec3 p, int at, sampler2D waves) {
  return texelFetch(waves, ivec2(at, 0), 0) * p.x + texelFetch(waves, ivec2(at + 1, 0), 0) * p.y + texelFetch(waves, ivec2(at + 2, 0), 0) * p.z;
}

// The mean of four waves times an exponential over a length: the real part of e^(i m) sinh(z) / z, z = x + i y, times the exponential
// in the middle. middle: turns there; y: turns over half the length; x: half of what the exponent falls by; e0, e1: the exponential at
// both ends, at most 1, so that nothing grows without end. Near 0 the series is taken, whose next term is below 1e-5 there.
vec4 mistMean(vec4 middle, vec4 turns, float x, float e0, float e1) {
  vec4 y = turns * -TAU;
  vec4 whole = y * y + x * x;
  vec4 re = cosTurn(turns) * (0.5 * (e0 - e1));
  vec4 im = sinTurn(turns) * (-0.5 * (e0 + e1));
  vec4 under = 1.0 / max(whole, vec4(1e-9));
  vec4 small = step(whole, vec4(0.03));
  float half_ = sqrt(e0 * e1);
  vec4 real = mix((re * x + im * y) * under, (1.0 + (x * x - y * y) / 6.0) * half_, small);
  vec4 other = mix((im * x - re * y) * under, y * (x * half_ / 3.0), small);
  return cosTurn(middle) * real - sinTurn(middle) * other;
}

// How often the light between two places is divided by e. shape: 1 / metres of full mist after which a third is left, the height up to
// which it is full, metres upwards over which it falls by e; groups: of four waves that the square has.
float mistDepth(vec3 from, vec3 to, vec3 shape, sampler2D waves, int groups) {
  vec3 way = to - from;
  float len = max(length(way), 1e-6);
  way /= len;
  float y0 = from.y - shape.y;
  float y1 = y0 + way.y * len;
  float crossing = clamp(-y0 / (abs(way.y) > 1e-9 ? way.y : 1e-9), 0.0, len);
  // what is above the floor comes first where the line starts there
  float fall = way.y / shape.z;
  float first = y0 > 0.0 ? 1.0 : 0.0;
  float sum = 0.0;
  for (int part = 0; part < 2; part++) {
    float t0 = part == 0 ? 0.0 : crossing;
    float t1 = part == 0 ? crossing : len;
    float above = part == 0 ? first : step(1e-9, y1);
    float e0 = mix(1.0, exp(-max(0.0, y0 + way.y * t0) / shape.z), above);
    float e1 = mix(1.0, exp(-max(0.0, y0 + way.y * t1) / shape.z), above);
    float x = 0.5 * fall * above * (t1 - t0);
    float mean = 0.0;
    // most lines lie on one side of the floor: a loop that none needs is left out
    int some = t1 - t0 > 1e-6 ? groups : 0;
    for (int group = 0; group < some; group++) {
      int at = 5 * (group + 1);
      vec4 turns = mistTurns(way, at, waves) * (0.5 * (t1 - t0));
      vec4 middle = texelFetch(waves, ivec2(at + 3, 0), 0) + mistTurns(from + way * (0.5 * (t0 + t1)), at, waves);
      mean += dot(texelFetch(waves, ivec2(at + 4, 0), 0), mistMean(middle, turns, x, e0, e1));
    }
    sum += mean * (t1 - t0);
  }
  return max(0.0, sum * shape.x);
}

// How dense it is at a place: the share of the light that a metre of it takes.
float mistAt(vec3 place, vec3 shape, sampler2D waves) {
  vec4 own = texelFetch(waves, ivec2(4, 0), 0);
  float wave = 1.0 + dot(own, cosTurn(texelFetch(waves, ivec2(3, 0), 0) + mistTurns(place, 0, waves)));
  float high = exp(-max(0.0, place.y - shape.y) / shape.z);
  return shape.x * high * wave * wave / (1.0 + 0.5 * dot(own, own));
}

// The same as mistDepth without patches: what it is in the mean.
float mistEven(vec3 from, vec3 to, vec3 shape) {
  float len = length(to - from);
  float y0 = from.y - shape.y;
  float y1 = to.y - shape.y;
  float low = min(y0, y1);
  float high = max(y0, y1);
  // the mean of the exponential between two heights above the floor, and 1 beneath it
  float a = max(low, 0.0) / shape.z;
  float b = max(high, 0.0) / shape.z;
  float d = b - a;
  float above = d < 1e-3 ? exp(-0.5 * (a + b)) : (exp(-a) - exp(-b)) / d;
  float share = clamp(high / max(high - low, 1e-6), 0.0, 1.0);
  return shape.x * len * mix(1.0, above, share);
}
