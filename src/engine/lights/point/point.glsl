vec3 light_beam(Light light, vec3 to) { return vec3(1.0); }

vec3 light_on(Light light, Surface s) {
  vec3 to = light.place - s.place;
  float away = max(length(to), 1e-4);
  return litByBall(s, to / away, away, light.size, light.colour * (light.strength * fallOff(away, light.size, light.reach)));
}
