// One plant, standing where the scatter put it (rest: place, and its normal in two numbers of twelve bits).
// @choice plantsPlace chance height
// @kernel plants plantsElement id rest
// @include ../../random/hash.glsl
// @include ../../noise/flow.glsl
// @include ../../space/rotation.glsl

// align: 0 upright .. 1 with the slope; sway: turns it leans at most in the wind; windScale, windPeriod: noise of the gusts;
// bodySize: metres high; variation: 0 alike .. 1 from half to twice; placeBy: 0 by chance, 1 by height.
void plantsElement(uint id, vec4 rest, uint seed, float align, float sway, vec3 windScale, ivec3 windPeriod, int windCycles,
                   float bodySize, float variation, int placeBy, float placeSpread, float low, float high, float lap,
                   out vec3 position, out vec4 rotation, out float size, out float place, out float order, out uint key) {
  position = rest.xyz;
  // a place in space keeps its chance however many there are
  key = uint(int(floor(rest.x * 512.0))) * 73856093u ^ uint(int(floor(rest.z * 512.0))) * 19349663u;
  key = key >> 8u;
  uvec4 h = pcg4d(uvec4(key, seed, 62u, 0u));
  order = unit(h.w);
  float nx = floor(rest.w / 4096.0);
  float nz = rest.w - nx * 4096.0;
  vec2 flat_ = (vec2(nx, nz) / 4095.0 * 2.0 - 1.0) * align;
  vec4 lean = vec4(flat_.y, 0.0, -flat_.x, 1.0 + sqrt(max(0.0, 1.0 - dot(flat_, flat_))));
  lean *= inversesqrt(dot(lean, lean));
  vec4 yaw = quatAbout(vec3(0.0, 1.0, 0.0), unit(h.x));
  rotation = quatTimes(lean, yaw);
  if (sway > 0.0) {
    vec3 a;
    float gust = flowNoise(vec3(position.x, 0.4, position.z) * windScale, windPeriod, seed + 71u, lap, windCycles, a);
    float own = sinTurn(fract(lap * float(windCycles * 2 + int(h.y % 2u))) + unit(h.z));
    rotation = quatTimes(quatAbout(vec3(0.0, 0.0, 1.0), -sway * (gust * 0.8 + own * 0.2)),
               quatTimes(quatAbout(vec3(1.0, 0.0, 0.0), sway * a.x * 0.12), rotation));
  }
  size = bodySize * exp2((unit(h.y) * 2.0 - 1.0) * variation);
  place = placeBy == PLANTS_PLACE_CHANCE ? unit(h.z) : (position.y - low) / max(high - low, 1e-4);
  place = clamp(0.5 + (place - 0.5) * placeSpread, 0.0, 1.0);
}
