// Mist before what a pixel shows. Needs air/mist.glsl and frame/pixel.glsl.
vec3 veiledFrom(vec3 light, float since, float depth) {
  for (int i = 0; i < min(uMisty, 1); i++)
    light = mix(uMistColour, light, throughMist(worldOf(uView, placeAt(vUv, since)), worldOf(uView, placeAt(vUv, depth))));
  return light;
}
vec3 veiled(vec3 light, float depth) { return veiledFrom(light, 0.0, depth); }
