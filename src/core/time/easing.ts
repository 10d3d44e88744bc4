/** Control points of a CSS cubic-bezier: x1, y1, x2, y2 with both x in 0..1 (W3C css-easing-1). */
export type Bezier = readonly [number, number, number, number];

export const EASE_PRESETS: Record<string, Bezier> = {
  even: [0.45, 0, 0.55, 1],
  gentle: [0.3, 0, 0.3, 1],
  arrive: [0.1, 0.7, 0.2, 1],
  depart: [0.7, 0, 0.9, 0.3],
  overshoot: [0.3, 1.5, 0.5, 1],
};

const at = (t: number, p1: number, p2: number): number =>
  ((1 - 3 * p2 + 3 * p1) * t + (3 * p2 - 6 * p1)) * t * t + 3 * p1 * t;
const slope = (t: number, p1: number, p2: number): number =>
  (3 * (1 - 3 * p2 + 3 * p1) * t + 2 * (3 * p2 - 6 * p1)) * t + 3 * p1;

/** Where on a curve from 0 to 1 with control points at x1 and x2 it is at `x` in 0..1: by Newton, with bisection where the curve is flat. */
function parameterAt(x: number, x1: number, x2: number): number {
  let low = 0;
  let high = 1;
  let t = x;
  for (let step = 0; step < 60; step++) {
    const error = at(t, x1, x2) - x;
    if (Math.abs(error) < 1e-12) break;
    if (error > 0) high = t;
    else low = t;
    const d = slope(t, x1, x2);
    const newton = t - error / d;
    t = d > 1e-6 && newton > low && newton < high ? newton : (low + high) / 2;
  }
  return t;
}

/** Value of a CSS cubic-bezier easing at `x` in 0..1; error below 1e-7. */
export function cubicBezier(x: number, [x1, y1, x2, y2]: Bezier): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  return at(parameterAt(x, x1, x2), y1, y2);
}

/** Value at `x` in 0..1 of a cubic Bézier from 0. @param xs of its two control points, 0..1 @param ys of them and of its end */
export function bezierThrough(
  x: number,
  [x1, x2]: readonly [number, number],
  [y1, y2, y3]: readonly [number, number, number],
): number {
  if (x <= 0) return 0;
  if (x >= 1) return y3;
  const t = parameterAt(x, x1, x2);
  const r = 1 - t;
  return 3 * r * r * t * y1 + 3 * r * t * t * y2 + t * t * t * y3;
}
