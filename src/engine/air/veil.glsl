// Mist before what a pixel shows. Needs air/mist.glsl and frame/pixel.glsl.
vec3 veiled(vec3 light, float depth) {
  for (int i = 0; i < min(uMisty, 1); i++)
    light = mix(uMistColour, light, throughMist(worldOf(uView, placeAt(vUv, 0.0)), worldOf(uView, placeAt(vUv, depth))));
  return light;
}
