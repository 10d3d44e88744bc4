// Elements turned about one common axis, or each about its own.
// @kernel turn turnElement key weight
// @include ../../random/hash.glsl
// @include ../../space/rotation.glsl

// each: 0 all together about the axis through pivot, 1 every element about its own centre; axis: unit vector, in the
// element's own space when each is 1; speeds: 1, or each element's turns times a whole number 1..speeds of its own;
// ways: 1 half of them the other way. amount: turns.
void turnElement(uint key, float weight, uint seed, float amount, int each, vec3 axis, vec3 pivot, int speeds, int ways,
                 inout vec3 position, inout vec4 rotation) {
  float turns = amount;
  if (each == 1) {
    uvec4 h = pcg4d(uvec4(key, seed, 42u, 0u));
    turns *= float(1 + int(((h.x >> 16u) * uint(speeds)) >> 16u));
    if (ways == 1 && (h.y & 1u) == 1u) turns = -turns;
    rotation = quatTimes(rotation, quatAbout(axis, turns * weight));
  } else {
    vec4 q = quatAbout(axis, turns * weight);
    position = pivot + rotateBy(q, position - pivot);
    rotation = quatTimes(q, rotation);
  }
}
