import { Clipper, FillRule as Rule } from 'clipper2-ts';
import {
  contourArea,
  contourBounds,
  contourReversed,
  type Bounds,
  type Contour,
  type Shape,
} from '../../core/type/shape';

export type FillRule = 'nonzero' | 'evenodd';

/** Areas smaller than this are none, in squares of the unit. */
const NOTHING = 1e-8;
const SAME = 1e-7;

/** A contour without points that follow on themselves; null where it has no area. */
function tidy(contour: Contour): Contour | null {
  const kept: number[] = [];
  for (let i = 0; i < contour.length; i += 2) {
    const [x, y] = [contour[i], contour[i + 1]];
    const n = kept.length;
    if (n === 0 || Math.hypot(x - kept[n - 2], y - kept[n - 1]) > SAME) kept.push(x, y);
  }
  while (kept.length > 2 && Math.hypot(kept[0] - kept[kept.length - 2], kept[1] - kept[kept.length - 1]) <= SAME)
    kept.length -= 2;
  const out = Float64Array.from(kept);
  return out.length >= 6 && Math.abs(contourArea(out)) > NOTHING ? out : null;
}

const apart = (a: Bounds, b: Bounds): boolean =>
  a.right < b.left || b.right < a.left || a.top < b.bottom || b.top < a.bottom;

const turn = (ax: number, ay: number, bx: number, by: number, px: number, py: number): number =>
  (bx - ax) * (py - ay) - (by - ay) * (px - ax);

/** Whether sides of two contours, which may be one and the same, cross; sides that only touch do not. */
function cross(a: Contour, b: Contour): boolean {
  const bounds = contourBounds(b);
  for (let i = 0; i < a.length; i += 2) {
    const j = (i + 2) % a.length;
    const [ax, ay, cx, cy] = [a[i], a[i + 1], a[j], a[j + 1]];
    const side = { left: Math.min(ax, cx), right: Math.max(ax, cx), bottom: Math.min(ay, cy), top: Math.max(ay, cy) };
    if (apart(side, bounds)) continue;
    for (let k = 0; k < b.length; k += 2) {
      const l = (k + 2) % b.length;
      const [bx, by, dx, dy] = [b[k], b[k + 1], b[l], b[l + 1]];
      const one = turn(ax, ay, cx, cy, bx, by) * turn(ax, ay, cx, cy, dx, dy);
      const two = turn(bx, by, dx, dy, ax, ay) * turn(bx, by, dx, dy, cx, cy);
      if (one < 0 && two < 0) return true;
    }
  }
  return false;
}

/** How often a contour goes round a place, counter-clockwise (Sunday, "Inclusion of a point in a polygon", 2001). */
function winding(contour: Contour, x: number, y: number): number {
  let sum = 0;
  for (let i = 0; i < contour.length; i += 2) {
    const j = (i + 2) % contour.length;
    const [ax, ay, bx, by] = [contour[i], contour[i + 1], contour[j], contour[j + 1]];
    if (ay <= y === by <= y) continue;
    const side = turn(ax, ay, bx, by, x, y);
    if (ay <= y && side > 0) sum++;
    else if (ay > y && side < 0) sum--;
  }
  return sum;
}

/** Contours that do not cross, as shapes: what a fill rule fills (SVG 1.1, §11.3). */
function nested(contours: readonly Contour[], rule: FillRule): Shape[] {
  const boxes = contours.map((contour) => contourBounds(contour));
  const bounds = contours.map((contour, own) => {
    const [x, y] = [(contour[0] + contour[2]) / 2, (contour[1] + contour[3]) / 2];
    let around = 0;
    contours.forEach((other, i) => {
      if (i !== own && !apart(boxes[i], { left: x, right: x, bottom: y, top: y })) around += winding(other, x, y);
    });
    const filled = (n: number): boolean => (rule === 'nonzero' ? n !== 0 : n % 2 !== 0);
    const outside = filled(around);
    const inside = filled(around + Math.sign(contourArea(contour)));
    return outside === inside ? null : { contour, solid: inside, at: [x, y] as const };
  });
  const found = bounds.flatMap((bound) => bound ?? []);
  const outlines = found.filter(({ solid }) => solid).map(({ contour }) => contour);
  const shapes = outlines
    .map((contour) => (contourArea(contour) > 0 ? contour : contourReversed(contour)))
    .map((outline) => ({ outline, holes: [] as Contour[], area: contourArea(outline) }));
  for (const { contour, solid, at } of found) {
    if (solid) continue;
    const around = shapes
      .filter(({ outline, area }) => area > Math.abs(contourArea(contour)) && winding(outline, ...at) !== 0)
      .sort((a, b) => a.area - b.area);
    const [holder] = around;
    (holder as typeof holder | undefined)?.holes.push(contourArea(contour) < 0 ? contour : contourReversed(contour));
  }
  return shapes.map(({ outline, holes }) => ({ outline, holes }));
}

/** Steps that the largest of some contours is across, when they are joined: places are whole numbers then. */
const GRID = 2 ** 22;

/** Contours that cross themselves or one another, as what they fill: the library joins whole numbers only. */
function joined(contours: readonly Contour[], rule: FillRule): Contour[] {
  const size = Math.max(...contours.flatMap((contour) => [...contour].map(Math.abs)));
  const scale = GRID / size;
  const paths = contours.map((contour) => Clipper.makePath([...contour].map((v) => Math.round(v * scale))));
  const found = Clipper.union(paths, rule === 'nonzero' ? Rule.NonZero : Rule.EvenOdd);
  return found.map((path) => Float64Array.from(path.flatMap(({ x, y }) => [x / scale, y / scale])));
}

/** Contours as shapes that do not overlap: what a fill rule fills. */
export function shapesOf(contours: readonly Contour[], rule: FillRule): Shape[] {
  const tidied = contours.flatMap((contour) => tidy(contour) ?? []);
  const boxes = tidied.map((contour) => contourBounds(contour));
  const crossing = tidied.some((a, i) =>
    tidied.some((b, j) => j >= i && (j === i || !apart(boxes[i], boxes[j])) && cross(a, b)),
  );
  if (!crossing) return nested(tidied, rule);
  return nested(
    joined(tidied, rule).flatMap((contour) => tidy(contour) ?? []),
    'evenodd',
  );
}
