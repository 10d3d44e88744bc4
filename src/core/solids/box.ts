import type { Vec3 } from '../space/vector';
import { MeshBuilder, type Mesh } from './mesh';

/** The six directions a face can look in: outwards, and the two directions along it, right-handed. */
const FACES: readonly [Vec3, Vec3, Vec3][] = [
  [
    [0, 0, 1],
    [1, 0, 0],
    [0, 1, 0],
  ],
  [
    [0, 0, -1],
    [-1, 0, 0],
    [0, 1, 0],
  ],
  [
    [1, 0, 0],
    [0, 0, -1],
    [0, 1, 0],
  ],
  [
    [-1, 0, 0],
    [0, 0, 1],
    [0, 1, 0],
  ],
  [
    [0, 1, 0],
    [1, 0, 0],
    [0, 0, -1],
  ],
  [
    [0, -1, 0],
    [1, 0, 0],
    [0, 0, 1],
  ],
];

/**
 * A box one unit across with rounded edges: an inner box, swept by a ball. Each face carries its share of the rounding, cut
 * like a cube blown up to a sphere, so neighbours meet.
 * @param half half sizes along x, y, z
 * @param bevel radius of the edges; at most the least half size
 * @param segments steps of each eighth of the rounding; 1 or more
 */
export function box(half: Vec3, bevel: number, segments: number): Mesh {
  const builder = new MeshBuilder();
  const radius = Math.min(bevel, ...half);
  if (radius <= 0) {
    for (const [out, u, v] of FACES) {
      const corner = (a: number, b: number): Vec3 =>
        [0, 1, 2].map((k) => (out[k] + u[k] * a + v[k] * b) * half[k]) as Vec3;
      builder.face([corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)]);
    }
    return builder.build();
  }
  const inner = half.map((h) => h - radius);
  const lines = segments + 1;
  // tangents of even angles from the corner's edge to the flat middle
  const tangents = Array.from({ length: lines }, (_, i) => Math.tan(((1 - i / segments) * Math.PI) / 4));
  const along = [...tangents.map((t) => [-1, -t]), ...[...tangents].reverse().map((t) => [1, t])];
  for (const [out, u, v] of FACES) {
    const grid = along.map(([signV, tV]) =>
      along.map(([signU, tU]) => {
        const direction = [0, 1, 2].map((k) => out[k] + u[k] * tU + v[k] * tV) as Vec3;
        const length = Math.hypot(...direction);
        const position = [0, 1, 2].map(
          (k) => (out[k] + u[k] * signU + v[k] * signV) * inner[k] + (direction[k] / length) * radius,
        ) as Vec3;
        return builder.vertex(position, direction);
      }),
    );
    for (let j = 0; j + 1 < grid.length; j++)
      for (let i = 0; i + 1 < grid.length; i++)
        builder.quad(grid[j][i], grid[j][i + 1], grid[j + 1][i + 1], grid[j + 1][i]);
  }
  return builder.build();
}
