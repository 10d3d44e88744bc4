uniform vec2 uHaze;  // share of light a metre, and how far it goes onwards

// What air at a place gives on of a lamp, and what is left of that on the way there and from there. off: how many metres that is
float airBetween(vec3 from, vec3 place, float off, vec3 lamp, float away) {
  float dense = uHaze.x;
  float taken = away / uAir.y;
  for (int i = 0; i < min(uMisty, 1); i++) {
    dense += mistAt(place, uMist, uMistWaves);
    taken += mistEven(from, place, uMist) + mistEven(place, lamp, uMist);
  }
  return dense * exp(-taken) * clearAir(off) * (1.0 - smoothstep(0.8 * uAir.z, uAir.z, off));
}
