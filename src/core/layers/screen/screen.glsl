// One panel in its arrangement. Result about the arrangement's own middle; placement follows.
// @choice screenPlace order chance height
// @choice screenFacing along in out
// @kernel screen screenElement id rest
// @include ../../random/hash.glsl
// @include ../../arrangement/arrangement.glsl

// dealt: for each that is drawn, which of all total panels it is: those that show the same stand one after another here. What
// arranges them: see arrangement.glsl. stepScale: size of the last over that of the first; panelSize: metres from its lower to its
// upper edge; facing: along the axis of the arrangement, its middle, or away from that; variation: 0 alike .. 1 from half to twice; placeBy: 0 by order, 1 by chance, 2 by height.
void screenElement(uint id, vec4 rest, sampler2D dealt, uint seed, int arrangement, int total, ivec3 grid, vec3 spacing, float radius,
                   float radiusEnd, float winds, float rise, int align, vec3 stepTurn, vec3 stepMove, float stepScale,
                   float panelSize, int facing, float variation, int placeBy, float placeSpread, float tile, vec4 course, sampler2D track,
                   out vec3 position, out vec4 rotation, out float size, out float place, out float fade, out float order, out uint key) {
  int at = int(id);
  int index = int(texelFetch(dealt, ivec2(at & 1023, at >> 10), 0).x);
  key = uint(index);
  uvec4 h = pcg4d(uvec4(key, seed, 75u, 0u));
  arranged(index, rest, arrangement, total, grid, spacing, radius, radiusEnd, winds, rise, align, stepTurn, stepMove, tile, course,
           track, position, rotation, fade, order);
  if (arrangement == ARRANGEMENT_SPHERE) {
    // there they face outwards by themselves
    if (facing == SCREEN_FACING_IN) rotation = quatTimes(rotation, quatAbout(vec3(0.0, 1.0, 0.0), 0.5));
  } else if (facing != SCREEN_FACING_ALONG) {
    // their tops were outwards: now they are along the axis
    rotation = quatTimes(rotation, quatAbout(vec3(1.0, 0.0, 0.0), 0.25));
    if (facing == SCREEN_FACING_OUT) rotation = quatTimes(rotation, quatAbout(vec3(0.0, 1.0, 0.0), 0.5));
  }
  size = fade * panelSize * pow(stepScale, order) * exp2((unit(h.x) * 2.0 - 1.0) * variation);
  place = order;
  if (placeBy == SCREEN_PLACE_CHANCE) place = unit(h.y);
  if (placeBy == SCREEN_PLACE_HEIGHT) {
    float high = arrangement == ARRANGEMENT_GRID ? 0.5 * spacing.y * float(grid.y - 1)
      : arrangement == ARRANGEMENT_SCATTER || arrangement == ARRANGEMENT_DEPTH ? spacing.y * 0.5 : max(radius, radiusEnd);
    place = 0.5 + 0.5 * position.y / max(1e-6, high);
  }
  place = clamp(0.5 + (place - 0.5) * placeSpread, 0.0, 1.0);
}
