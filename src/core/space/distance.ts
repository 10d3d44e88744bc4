import { add, cross, dot, scale, subtract, type Vec3 } from './vector';

/** The point of a triangle nearest to p (Ericson, Real-Time Collision Detection, 2005, §5.1.5). */
export function nearestOnTriangle(p: Vec3, a: Vec3, b: Vec3, c: Vec3): Vec3 {
  const ab = subtract(b, a);
  const ac = subtract(c, a);
  const ap = subtract(p, a);
  const [d1, d2] = [dot(ab, ap), dot(ac, ap)];
  if (d1 <= 0 && d2 <= 0) return a;
  const bp = subtract(p, b);
  const [d3, d4] = [dot(ab, bp), dot(ac, bp)];
  if (d3 >= 0 && d4 <= d3) return b;
  const vc = d1 * d4 - d3 * d2;
  if (vc <= 0 && d1 >= 0 && d3 <= 0) return add(a, scale(ab, d1 / (d1 - d3)));
  const cp = subtract(p, c);
  const [d5, d6] = [dot(ab, cp), dot(ac, cp)];
  if (d6 >= 0 && d5 <= d6) return c;
  const vb = d5 * d2 - d1 * d6;
  if (vb <= 0 && d2 >= 0 && d6 <= 0) return add(a, scale(ac, d2 / (d2 - d6)));
  const va = d3 * d6 - d5 * d4;
  if (va <= 0 && d4 - d3 >= 0 && d5 - d6 >= 0) return add(b, scale(subtract(c, b), (d4 - d3) / (d4 - d3 + (d5 - d6))));
  const inverse = 1 / (va + vb + vc);
  return add(a, add(scale(ab, vb * inverse), scale(ac, vc * inverse)));
}

/** The point of the segment from a to b nearest to p. */
export function nearestOnSegment(p: Vec3, a: Vec3, b: Vec3): Vec3 {
  const ab = subtract(b, a);
  const t = dot(subtract(p, a), ab) / Math.max(1e-12, dot(ab, ab));
  return add(a, scale(ab, Math.min(1, Math.max(0, t))));
}

/** Whether the segment from p to q goes through a triangle (Möller & Trumbore, J. Graphics Tools 2(1), 1997). */
export function crossesTriangle(p: Vec3, q: Vec3, a: Vec3, b: Vec3, c: Vec3): boolean {
  const way = subtract(q, p);
  const [ab, ac] = [subtract(b, a), subtract(c, a)];
  const h = cross(way, ac);
  const det = dot(ab, h);
  if (Math.abs(det) < 1e-14) return false;
  const s = subtract(p, a);
  const u = dot(s, h) / det;
  if (u < 0 || u > 1) return false;
  const k = cross(s, ab);
  const v = dot(way, k) / det;
  if (v < 0 || u + v > 1) return false;
  const t = dot(ac, k) / det;
  return t >= 0 && t <= 1;
}
