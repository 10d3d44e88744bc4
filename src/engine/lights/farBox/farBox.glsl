// a rectangle far away, with edges as soft as what sees it is rough; a: along its width; b: half its sides over its distance
vec3 light_from(Light light, vec3 d, float rough) {
  float soft = 0.04 + 1.2 * rough;
  float ahead = dot(d, light.from);
  if (ahead <= 0.02) return vec3(0.0);
  vec3 side = light.a.xyz;
  vec2 half_ = light.b.xy;
  vec3 up = cross(light.from, side);
  vec2 p = abs(vec2(dot(d, side), dot(d, up)) / ahead);
  vec2 inside = smoothstep(half_ + soft, half_ - soft, p);
  float seen = inside.x * inside.y * min(1.0, (half_.x * half_.y) / ((half_.x + soft) * (half_.y + soft)) + 0.15);
  return light.colour * (light.strength * seen);
}
