// Light of another white: see core/colour/adapt.ts.
uniform mat3 effect_matrix;
void effect_apply(inout vec3 c, inout float gain) { c = max(effect_matrix * c, vec3(0.0)); }
