// What a colour becomes by a table, its entries by rows of 4096: core/colour/table.ts. Needs colour/lookup.glsl.
uniform sampler2D effect_table;
uniform int effect_side;     // entries of a channel; 0 where there is no table
uniform bool effect_colours; // whether they are of colours, not of each channel
uniform vec3 effect_low;
uniform vec3 effect_scale;   // entries for a whole channel value

vec3 effect_entry(int n) { return texelFetch(effect_table, ivec2(n & 4095, n >> 12), 0).rgb; }

vec3 effect_mixed(ivec3 i, vec3 f) {
  vec3 first, second;
  vec4 share;
  tetrahedron(f, first, second, share);
  ivec3 each = ivec3(1, effect_side, effect_side * effect_side);
  int at = i.x + i.y * each.y + i.z * each.z;
  int a = int(dot(first, vec3(each)) + 0.5);
  int b = int(dot(second, vec3(each)) + 0.5);
  return effect_entry(at) * share.x + effect_entry(at + a) * share.y + effect_entry(at + b) * share.z
    + effect_entry(at + each.x + each.y + each.z) * share.w;
}

vec3 effect_bent(ivec3 i, vec3 f) {
  vec3 low = vec3(effect_entry(i.x).r, effect_entry(i.y).g, effect_entry(i.z).b);
  vec3 high = vec3(effect_entry(i.x + 1).r, effect_entry(i.y + 1).g, effect_entry(i.z + 1).b);
  return low + (high - low) * f;
}

void effect_apply(inout vec3 c, inout float gain) {
  vec3 x = clamp((c - effect_low) * effect_scale, vec3(0.0), vec3(float(effect_side - 1)));
  ivec3 i = min(ivec3(x), ivec3(effect_side - 2));
  vec3 f = x - vec3(i);
  if (effect_side > 0) c = effect_colours ? effect_mixed(i, f) : effect_bent(i, f);
}
