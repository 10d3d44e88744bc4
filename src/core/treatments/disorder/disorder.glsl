// Every element shifted, turned and scaled by chance.
// @kernel disorder disorderElement key weight
// @include ../../random/hash.glsl
// @include ../../space/rotation.glsl

// amount: 0 untouched .. 1 all of it; shift: most metres per axis; turns: most turns about an axis of its own;
// spread: most factor of size, up or down, less one.
void disorderElement(uint key, float weight, uint seed, float amount, vec3 shift, float turns, float spread,
                     inout vec3 position, inout vec4 rotation, inout float size) {
  uvec4 h = pcg4d(uvec4(key, seed, 40u, 0u));
  uvec4 g = pcg4d(uvec4(key, seed, 41u, 0u));
  float much = amount * weight;
  position += (vec3(unit(h.x), unit(h.y), unit(h.z)) * 2.0 - 1.0) * shift * much;
  rotation = quatTimes(quatAbout(sphereDirection(unit(g.x), unit(g.y)), (unit(g.z) * 2.0 - 1.0) * turns * much), rotation);
  size *= exp2((unit(h.w) * 2.0 - 1.0) * log2(1.0 + spread) * much);
}
