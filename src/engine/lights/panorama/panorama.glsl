// a panorama, as surfaces of six roughnesses mirror it, one beneath another in a texture; a.x: turns to the right
vec3 light_level(float u, float v, float level) {
  float rows = float(textureSize(light_MAP, 0).y) / 6.0;
  // no row of one is mixed with those of another
  float row = clamp(v * rows, 0.5, rows - 0.5) + level * rows;
  return textureLod(light_MAP, vec2(u, row / (6.0 * rows)), 0.0).rgb;
}
vec3 light_from(Light light, vec3 d, float rough) {
  // straight above and beneath it is seen alike from all around
  float around = abs(d.x) + abs(d.z) > 1e-6 ? atan(d.x, -d.z) : 0.0;
  float u = 0.5 + around / 6.2831853 - light.a.x;
  float v = acos(clamp(d.y, -1.0, 1.0)) / PI_;
  float level = clamp(rough, 0.0, 1.0) * 5.0;
  float low = min(floor(level), 4.0);
  return light.colour * (light.strength * mix(light_SHARP, light_level(u, v, low + 1.0), level - low));
}
// what matt white gives back of it, by nine colours for the harmonics of its normal (core/panorama/even.ts)
vec3 light_even(Light light, vec3 n) {
  float c = cos(6.2831853 * light.a.x);
  float s = sin(6.2831853 * light.a.x);
  vec3 d = vec3(c * n.x + s * n.z, n.y, c * n.z - s * n.x);
  vec3 sum = light_EVEN[0] * 0.282094792;
  sum += 0.488602512 * (light_EVEN[1] * d.y + light_EVEN[2] * d.z + light_EVEN[3] * d.x);
  sum += 1.092548431 * (light_EVEN[4] * d.x * d.y + light_EVEN[5] * d.y * d.z + light_EVEN[7] * d.x * d.z);
  sum += light_EVEN[6] * (0.315391565 * (3.0 * d.z * d.z - 1.0)) + light_EVEN[8] * (0.546274215 * (d.x * d.x - d.y * d.y));
  return light.colour * (light.strength * max(sum, 0.0));
}
