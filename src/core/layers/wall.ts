import type { DrawingOf } from './drawing';

/** The quads of a wall, between the first copies of its rings, each by its four elements: two of a ring, the two beyond them of the next. */
export function wallQuads({ corners, copies, rings, gaps }: DrawingOf<'surface'>): [number, number, number, number][] {
  const perRing = corners * copies;
  const out: [number, number, number, number][] = [];
  for (let ring = 0; ring < rings; ring += gaps ? 2 : 1)
    for (let i = 0; i < corners; i++) {
      const [a, b] = [ring * perRing + i, ring * perRing + ((i + 1) % corners)];
      out.push([a, b, a + perRing, b + perRing]);
    }
  return out;
}

/** Two triangles for each of them, three elements a triangle. */
export const wallTriangles = (drawing: DrawingOf<'surface'>): Uint32Array =>
  Uint32Array.from(wallQuads(drawing).flatMap(([a, b, c, d]) => [a, b, c, b, d, c]));
