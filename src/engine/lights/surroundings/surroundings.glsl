// a: brightness of what is beneath, and how much brighter what is above is
vec3 light_from(Light light, vec3 d, float rough) {
  return light.colour * (light.strength * (light.a.x + light.a.y * smoothstep(-0.2, 1.0, d.y)));
}
