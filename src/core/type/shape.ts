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

/** The same contour the other way round. */
export function contourReversed(contour: Contour): Contour {
  const out = new Float64Array(contour.length);
  for (let i = 0; i < contour.length; i += 2) out.set(contour.subarray(i, i + 2), contour.length - 2 - i);
  return out;
}

export interface Bounds {
  left: number;
  right: number;
  bottom: number;
  top: number;
}

/** What contours are within; with no points nothing is. */
export function contourBounds(...contours: readonly Contour[]): Bounds {
  const bounds = { left: Infinity, right: -Infinity, bottom: Infinity, top: -Infinity };
  for (const contour of contours)
    for (let i = 0; i < contour.length; i += 2) {
      bounds.left = Math.min(bounds.left, contour[i]);
      bounds.right = Math.max(bounds.right, contour[i]);
      bounds.bottom = Math.min(bounds.bottom, contour[i + 1]);
      bounds.top = Math.max(bounds.top, contour[i + 1]);
    }
  return bounds;
}

/** What shapes are within; null where there are none. */
export const shapesBounds = (shapes: readonly Shape[]): Bounds | null =>
  shapes.length === 0 ? null : contourBounds(...shapes.map(({ outline }) => outline));

/** Shapes moved by so much. */
export const shapesMoved = (shapes: readonly Shape[], x: number, y: number): Shape[] => {
  const moved = (contour: Contour): Contour => contour.map((v, i) => v + (i % 2 === 0 ? x : y));
  return shapes.map(({ outline, holes }) => ({ outline: moved(outline), holes: holes.map(moved) }));
};
