import type { CurvePoint } from '../../core/forms';
import { newId } from '../state/edit';

/** What a point of a drawn curve is chosen by: its own names may come again in another curve. */
export const pointKey = (path: readonly (string | number)[], id: string): string => `${path.join('.')}:${id}`;

const round = (v: number): number => Number(v.toFixed(3)) + 0;

/** The points with one more at a place, after the one of an index; and its name. */
export function withPointAt(
  points: readonly CurvePoint[],
  after: number,
  { aside, above, ahead }: Omit<CurvePoint, 'id'>,
): { points: CurvePoint[]; id: string } {
  const id = newId('point');
  const point = { id, aside: round(aside), above: round(above), ahead: round(ahead) };
  return { points: [...points.slice(0, after + 1), point, ...points.slice(after + 1)], id };
}

/**
 * The points with one more half way to the next after one, or after the last.
 * @param gain metres ahead by which the curve goes on from its last point to its first; 0 when it closes
 */
export function addPoint(
  points: readonly CurvePoint[],
  after: string | null,
  gain = 0,
): { points: CurvePoint[]; id: string } {
  const found = points.findIndex(({ id }) => id === after);
  const at = found < 0 ? points.length - 1 : found;
  const [a, b] = [points[at], points[(at + 1) % points.length]];
  return withPointAt(points, at, {
    aside: (a.aside + b.aside) / 2,
    above: (a.above + b.above) / 2,
    ahead: (a.ahead + b.ahead + (at + 1 === points.length ? gain : 0)) / 2,
  });
}

/** Without a point; two always remain. */
export const removePoint = (points: readonly CurvePoint[], id: string): readonly CurvePoint[] =>
  points.length <= 2 ? points : points.filter((point) => point.id !== id);
