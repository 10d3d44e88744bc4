import earcut from 'earcut';

type Triangle = (a: number, b: number, c: number) => void;
/** A number of a list. */
type At = (place: number) => number;

/** The way a polygon faces, as long as twice its area (Newell's sums). */
function facing(corners: readonly number[], at: At): [number, number, number] {
  const out: [number, number, number] = [0, 0, 0];
  corners.forEach((a, i) => {
    const b = corners[(i + 1) % corners.length];
    for (let k = 0; k < 3; k++) {
      const [u, v] = [(k + 1) % 3, (k + 2) % 3];
      out[k] += (at(a * 3 + u) - at(b * 3 + u)) * (at(a * 3 + v) + at(b * 3 + v));
    }
  });
  return out;
}

/** Whether every triangle of a fan from the first corner faces as the whole does. */
function isFan(corners: readonly number[], at: At, way: readonly number[]): boolean {
  const [a] = corners;
  for (let i = 1; i + 1 < corners.length; i++) {
    const own = facing([a, corners[i], corners[i + 1]], at);
    if (own[0] * way[0] + own[1] * way[1] + own[2] * way[2] < 0) return false;
  }
  return true;
}

/**
 * The triangles of a polygon, which keep the way it runs: those from its first corner, or where it is hollow, those that lie within it.
 * @param corners vertices in order; of fewer than three there are no triangles
 * @param at x, y, z of each vertex, one after another
 */
export function fan(corners: readonly number[], at: At, each: Triangle): void {
  if (corners.length < 3) return;
  const way = corners.length > 3 ? facing(corners, at) : [0, 0, 0];
  if (corners.length === 3 || isFan(corners, at, way)) {
    for (let i = 1; i + 1 < corners.length; i++) each(corners[0], corners[i], corners[i + 1]);
    return;
  }
  // laid on the plane that it is nearest to
  const axis = way.map(Math.abs).indexOf(Math.max(...way.map(Math.abs)));
  const [u, v] = way[axis] > 0 ? [(axis + 1) % 3, (axis + 2) % 3] : [(axis + 2) % 3, (axis + 1) % 3];
  const flat = corners.flatMap((corner) => [at(corner * 3 + u), at(corner * 3 + v)]);
  const found = earcut(flat);
  for (let i = 0; i < found.length; i += 3) {
    const [a, b, c] = [found[i], found[i + 1], found[i + 2]];
    const area =
      (flat[b * 2] - flat[a * 2]) * (flat[c * 2 + 1] - flat[a * 2 + 1]) -
      (flat[c * 2] - flat[a * 2]) * (flat[b * 2 + 1] - flat[a * 2 + 1]);
    if (area >= 0) each(corners[a], corners[b], corners[c]);
    else each(corners[a], corners[c], corners[b]);
  }
}
