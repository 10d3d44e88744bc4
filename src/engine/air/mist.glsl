// Mist before what is seen. Needs core/air/mist.glsl and frame/view.glsl.
uniform int uMisty;              // groups of waves it has; 0 where there is none
uniform vec3 uMist;              // see core/air/mist.glsl
uniform sampler2D uMistWaves;
uniform vec3 uMistColour;

// what is left of the light between two places in the world; a loop, because without a graphics card one that nobody needs is left out,
// and both sides of a condition are worked out
float throughMist(vec3 from, vec3 to) {
  float left = 1.0;
  for (int i = 0; i < min(uMisty, 1); i++) left = exp(-mistDepth(from, to, uMist, uMistWaves, uMisty));
  return left;
}

// where in the world a place of a view is
vec3 worldOf(mat4 view, vec3 v) { return transpose(mat3(view)) * (v - view[3].xyz); }

// what is left of the light from a place of a view to the eye, or to what mirrors it
float clearMist(mat4 view, vec3 v) { return throughMist(worldOf(view, airFrom(v)), worldOf(view, v)); }

// the same in all air
float clearWhole(mat4 view, vec3 v) { return clearAir(metresOff(v)) / clearAir(metresOff(airFrom(v))) * clearMist(view, v); }
