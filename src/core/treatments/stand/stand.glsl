// Elements let down onto land, or raised by its height.
// @kernel stand standElement weight size
// @include ../../noise/land.glsl
// @include ../../space/rotation.glsl

// relief to valley: the law of the land (noise/land.glsl), lies: metres it lies to the right and up; there: 0 where there is none; amount:
// 0 as they are .. 1 wholly; over: 1 its height is added to theirs, 0 they stand on it; foot: how far the middle of an element is
// above its foot, in its sizes; lift: metres; leans: 0 upright .. 1 square to the land.
void standElement(float weight, uint seed, float relief, vec3 scale, ivec3 period, int octaves, int form, float valley, vec2 lies, float amount,
                  int over, float foot, float lift, float leans, inout vec3 position, inout vec4 rotation, float size) {
  float height;
  vec2 slope;
  landHeight(vec2(position.x - lies.x, position.z), seed, relief, scale, period, octaves, form, valley, height, slope);
  float share = clamp(amount * weight, 0.0, 1.0);
  float ground = height + lies.y + lift;
  float goal = over == 1 ? position.y + ground : ground + foot * size;
  position = vec3(position.x, mix(position.y, goal, share), position.z);
  // the shortest turn from upright to the normal, as far as it leans
  vec2 way = slope * (leans * share);
  vec3 n = vec3(-way.x, 1.0, -way.y);
  n = n * inversesqrt(dot(n, n));
  vec4 q = vec4(n.z, 0.0, -n.x, 1.0 + n.y);
  rotation = quatTimes(q * inversesqrt(dot(q, q)), rotation);
}
