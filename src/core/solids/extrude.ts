import earcut from 'earcut';
import { MeshBuilder, type Mesh } from './mesh';

/** A closed outline of points [x, y], in units of the body's size; either way round. */
export type Outline = readonly (readonly [number, number])[];

const areaOf = (outline: Outline): number =>
  outline.reduce((sum, [x, y], i) => {
    const [nx, ny] = outline[(i + 1) % outline.length];
    return sum + (x * ny - nx * y) / 2;
  }, 0);

/**
 * An outline given depth, its front towards +z. Holes and crossings are not looked for.
 * @throws RangeError when the outline has fewer than three points or no area
 */
export function extrude(outline: Outline, depth: number): Mesh {
  const area = areaOf(outline);
  if (outline.length < 3 || Math.abs(area) < 1e-9) throw new RangeError('an outline needs three points and an area');
  const points = area > 0 ? outline : [...outline].reverse();
  const builder = new MeshBuilder();
  const [front, back] = [depth / 2, -depth / 2];
  const triangles = earcut(points.flat());
  const cap = (z: number, normal: number): number[] =>
    points.map(([x, y]) => builder.vertex([x, y, z], [0, 0, normal]));
  const [near, far] = [cap(front, 1), cap(back, -1)];
  for (let i = 0; i < triangles.length; i += 3) {
    const corners = [points[triangles[i]], points[triangles[i + 1]], points[triangles[i + 2]]];
    const [a, b, c] = areaOf(corners) > 0 ? [i, i + 1, i + 2] : [i, i + 2, i + 1];
    builder.triangle(near[triangles[a]], near[triangles[b]], near[triangles[c]]);
    builder.triangle(far[triangles[a]], far[triangles[c]], far[triangles[b]]);
  }
  points.forEach(([x, y], i) => {
    const [nx, ny] = points[(i + 1) % points.length];
    builder.face([
      [x, y, back],
      [nx, ny, back],
      [nx, ny, front],
      [x, y, front],
    ]);
  });
  return builder.build();
}

/** A regular polygon one unit across, a side downwards. */
export const regularOutline = (sides: number): [number, number][] =>
  Array.from({ length: sides }, (_, i) => {
    const angle = (2 * Math.PI * (i + 0.5)) / sides - Math.PI / 2;
    return [Math.cos(angle) / 2, Math.sin(angle) / 2];
  });

/** A flat square one unit across that faces +z and is seen from both sides. */
export function plane(): Mesh {
  const builder = new MeshBuilder();
  builder.face([
    [-0.5, -0.5, 0],
    [0.5, -0.5, 0],
    [0.5, 0.5, 0],
    [-0.5, 0.5, 0],
  ]);
  return builder.build(true);
}
