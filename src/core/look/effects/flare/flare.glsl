// Which of the bright places of a picture have a flare, so that none comes or goes at once.
// @export flareTent
// @export flareAbove
// @export flareKept
// @export flareGrowth

// The part that a cell has of a light, by how many cells it is from the cell's middle along one axis: the parts of all cells sum to 1.
float flareTent(float d) { return max(1.0 - abs(d), 0.0); }

// How far one light is brighter than another: 0.5 where they are alike, 1 from a third more on.
float flareAbove(float other, float own) {
  return smoothstep(-0.3, 0.3, log(max(other, 1e-12) / max(own, 1e-12)));
}

// How far a light has a flare that so many others are brighter than: all of it, and nothing at the count of those that have one.
float flareKept(float brighter, float count) { return clamp(count - brighter, 0.0, 1.0); }

// How large its flare is, against one of an area of a thousandth of the side squared that is 1 over the threshold: by the fourth root, as its
// side is by the second where it nears.
float flareGrowth(float light) { return min(pow(light / 1e-3, 0.25), 2.0); }
