/** A closed line through points x, y, one after another. */
export type Contour = Float64Array;

/** An area with its holes. Solid is to the left of every contour: outlines run counter-clockwise, holes clockwise. */
export interface Shape {
  outline: Contour;
  holes: readonly Contour[];
}

/** Area within a contour; negative where it runs clockwise (shoelace formula). */
export function contourArea(contour: Contour): number {
  let sum = 0;
  const n = contour.length;
  for (let i = 0; i < n; i += 2) {
    const j = (i + 2) % n;
    sum += contour[i] * contour[j + 1] - contour[j] * contour[i + 1];
  }
  return sum / 2;
}

export const contoursOf = (shapes: readonly Shape[]): Contour[] =>
  shapes.flatMap(({ outline, holes }) => [outline, ...holes]);

/** Area that shapes cover. */
export const shapesArea = (shapes: readonly Shape[]): number =>
  contoursOf(shapes).reduce((sum, contour) => sum + contourArea(contour), 0);

export interface Bounds {
  left: number;
  right: number;
  bottom: number;
  top: number;
}

/** What shapes are within; null where there are none. */
export function shapesBounds(shapes: readonly Shape[]): Bounds | null {
  if (shapes.length === 0) return null;
  const bounds = { left: Infinity, right: -Infinity, bottom: Infinity, top: -Infinity };
  for (const { outline } of shapes)
    for (let i = 0; i < outline.length; i += 2) {
      bounds.left = Math.min(bounds.left, outline[i]);
      bounds.right = Math.max(bounds.right, outline[i]);
      bounds.bottom = Math.min(bounds.bottom, outline[i + 1]);
      bounds.top = Math.max(bounds.top, outline[i + 1]);
    }
  return bounds;
}

/** Shapes moved by so much. */
export const shapesMoved = (shapes: readonly Shape[], x: number, y: number): Shape[] => {
  const moved = (contour: Contour): Contour => contour.map((v, i) => v + (i % 2 === 0 ? x : y));
  return shapes.map(({ outline, holes }) => ({ outline: moved(outline), holes: holes.map(moved) }));
};
