// The shape of land that repeats along z.
// @export landHeight
// @shared landHeight
// @choice landForm round ridged cobbles columns
// @include ./flow.glsl
// @include ./cells.glsl

// Height in metres and its derivative along x and z at a place. relief: metres; scale: noise units per metre; period: units
// after which it repeats along z; octaves 1..6; form: round hills, sharp crests, or
// of cells, domes or columns with gaps between them; valley: metres to either side
// of the route that stay low, rising over as many again.
void landHeight(vec2 at, uint seed, float relief, vec3 scale, ivec3 period, int octaves, int form, float valley,
                  out float height, out vec2 slope) {
  height = 0.0;
  slope = vec2(0.0);
  float gain = 1.0;
  float times = 1.0;
  float sum = 0.0;
  for (int i = 0; i < 6; i++) {
    if (i < octaves) {
      vec3 grad;
      vec3 q = vec3(at.x, 0.0, at.y) * scale * times + vec3(0.37, 0.61, 0.0) * float(i + 1);
      float n = flowNoise(q, period * int(times), seed + uint(i), 0.13, 1, grad);
      vec3 first;
      vec3 second;
      float own = cellNoise(q, period * int(times), seed + uint(i), 0.13, 1, form >= LAND_FORM_COBBLES ? CELLS_ALL : CELLS_NONE, first, second);
      if (form == LAND_FORM_COBBLES) {
        n = cellDome(first, grad);
      }
      if (form == LAND_FORM_COLUMNS) {
        vec3 ways;
        float gap = cellGap(first, second, 0.3, ways);
        n = 2.0 * own * gap - 1.0;
        grad = ways * (2.0 * own);
      }
      vec2 g = vec2(grad.x * scale.x, grad.z * scale.z) * times;
      if (form == LAND_FORM_RIDGED) {
        float side = n < 0.0 ? 1.0 : -1.0;
        n = 1.0 - 2.0 * abs(n);
        g = g * (2.0 * side);
      }
      height += n * gain;
      slope += g * gain;
      sum += gain;
      gain *= 0.5;
      times *= 2.0;
    }
  }
  height *= relief / sum;
  slope *= relief / sum;
  if (valley > 0.0) {
    float d = abs(at.x);
    float t = clamp((d - valley) / valley, 0.0, 1.0);
    float keep = t * t * (3.0 - 2.0 * t);
    float steep = t > 0.0 && t < 1.0 ? 6.0 * t * (1.0 - t) / valley * (at.x < 0.0 ? -1.0 : 1.0) : 0.0;
    slope = slope * keep + vec2(height * steep, 0.0);
    height *= keep;
  }
}
