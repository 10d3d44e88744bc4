import { hash4, unitFrom } from '../random/hash';

/**
 * Points in a box of at least a given distance from one another, in an order of which any beginning fills the box as evenly
 * as that many points can: each is, of several hashed candidates, the one farthest from all before it (Mitchell, SIGGRAPH
 * 1991), and it is left out when none is far enough. Distances along z wrap, so that copies of the box set end to end keep
 * them too.
 * @param size of the box in metres, centred at 0
 * @param count wanted; fewer come when no more fit
 * @param distance least, in metres
 * @param wraps whether z repeats
 * @returns x, y, z of each point
 */
export function poissonDisk(
  size: readonly [number, number, number],
  count: number,
  distance: number,
  wraps: boolean,
  seed: number,
): Float32Array {
  const cell = Math.max(distance, Math.cbrt((size[0] * size[1] * size[2]) / count) * 0.8, 1e-6);
  const cells = size.map((s) => Math.max(1, Math.floor(s / cell)));
  const grid = new Map<number, number[]>();
  const points = new Float32Array(count * 3);
  const candidate = [0, 0, 0];
  const home = (p: ArrayLike<number>, at: number, k: number): number =>
    Math.min(cells[k] - 1, Math.max(0, Math.floor((p[at + k] / size[k] + 0.5) * cells[k])));
  const index = (x: number, y: number, z: number): number => (z * cells[1] + y) * cells[0] + x;

  /** Distance to the nearest point, as far as one cell around shows. */
  const room = (): number => {
    const [cx, cy, cz] = [0, 1, 2].map((k) => home(candidate, 0, k));
    let least = Infinity;
    for (let dz = -1; dz <= 1; dz++) {
      let z = cz + dz;
      if (wraps) z = ((z % cells[2]) + cells[2]) % cells[2];
      else if (z < 0 || z >= cells[2]) continue;
      for (let y = Math.max(0, cy - 1); y <= Math.min(cells[1] - 1, cy + 1); y++)
        for (let x = Math.max(0, cx - 1); x <= Math.min(cells[0] - 1, cx + 1); x++)
          for (const i of grid.get(index(x, y, z)) ?? []) {
            let gap = Math.abs(points[i * 3 + 2] - candidate[2]);
            if (wraps) gap = Math.min(gap, size[2] - gap);
            least = Math.min(least, Math.hypot(points[i * 3] - candidate[0], points[i * 3 + 1] - candidate[1], gap));
          }
    }
    return least;
  };

  let placed = 0;
  let draw = 0;
  const best = [0, 0, 0];
  // dozens of misses in a row mean the box is full
  for (let misses = 0; placed < count && misses < 60;) {
    let roomiest = -1;
    for (let c = 0; c < 6; c++) {
      const h = hash4(draw++, seed, 48, c);
      for (let k = 0; k < 3; k++) candidate[k] = (unitFrom(h[k]) - 0.5) * size[k];
      const space = room();
      if (space <= roomiest) continue;
      roomiest = space;
      for (let k = 0; k < 3; k++) best[k] = candidate[k];
    }
    if (roomiest < distance) {
      misses++;
      continue;
    }
    misses = 0;
    points.set(best, placed * 3);
    const key = index(home(best, 0, 0), home(best, 0, 1), home(best, 0, 2));
    const list = grid.get(key);
    if (list) list.push(placed);
    else grid.set(key, [placed]);
    placed++;
  }
  return points.slice(0, placed * 3);
}
