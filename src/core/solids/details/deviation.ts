import type { Mesh } from '../mesh';

/** A turn of the normal across some width, in radians, is as bad as a surface that is off by this share of it times the width. */
export const SHADING = 1 / 3;

/** The place of a triangle nearest to a point, as shares of its second and third corner, and its squared distance. */
interface Nearest {
  distance: number;
  s: number;
  t: number;
}

/** The nearest place of a triangle (Ericson, Real-Time Collision Detection, 2005, 5.1.5). */
function toTriangle(p: Float32Array, a: Float32Array, b: Float32Array, c: Float32Array): Nearest {
  const sub = (u: Float32Array, v: Float32Array): number[] => [u[0] - v[0], u[1] - v[1], u[2] - v[2]];
  const dot = (u: readonly number[], v: readonly number[]): number => u[0] * v[0] + u[1] * v[1] + u[2] * v[2];
  const [ab, ac, ap] = [sub(b, a), sub(c, a), sub(p, a)];
  const place = (s: number, t: number): Nearest => {
    let distance = 0;
    for (let k = 0; k < 3; k++) distance += (ap[k] - ab[k] * s - ac[k] * t) ** 2;
    return { distance, s, t };
  };
  const [d1, d2] = [dot(ab, ap), dot(ac, ap)];
  if (d1 <= 0 && d2 <= 0) return place(0, 0);
  const bp = sub(p, b);
  const [d3, d4] = [dot(ab, bp), dot(ac, bp)];
  if (d3 >= 0 && d4 <= d3) return place(1, 0);
  const vc = d1 * d4 - d3 * d2;
  if (vc <= 0 && d1 >= 0 && d3 <= 0) return place(d1 / (d1 - d3), 0);
  const cp = sub(p, c);
  const [d5, d6] = [dot(ab, cp), dot(ac, cp)];
  if (d6 >= 0 && d5 <= d6) return place(0, 1);
  const vb = d5 * d2 - d1 * d6;
  if (vb <= 0 && d2 >= 0 && d6 <= 0) return place(0, d2 / (d2 - d6));
  const va = d3 * d6 - d5 * d4;
  if (va <= 0 && d4 - d3 >= 0 && d5 - d6 >= 0) {
    const w = (d4 - d3) / (d4 - d3 + (d5 - d6));
    return place(1 - w, w);
  }
  const over = 1 / (va + vb + vc);
  return place(vb * over, vc * over);
}

/** Vertices and triangles that are compared at most, so that a fine mesh is measured in a moment. */
const MOST_MEASURED = 60_000;

/**
 * How far a mesh is from some of its own triangles at most, in units of its size: by the distance of its vertices, and by
 * what their normals are off from those there, over the width of the triangle that shows it.
 */
export function deviation({ position, normal }: Mesh, index: Uint32Array): number {
  const count = position.length / 3;
  const step = Math.max(1, Math.ceil((count * index.length) / 3 / MOST_MEASURED));
  const at = (of: Float32Array, v: number): Float32Array => of.subarray(v * 3, v * 3 + 3);
  let most = 0;
  for (let v = 0; v < count; v += step) {
    const here = at(position, v);
    let least = Infinity;
    // a vertex of a crease looks only at what is on its own side of it
    let off = Infinity;
    for (let t = 0; t < index.length; t += 3) {
      const [a, b, c] = [index[t], index[t + 1], index[t + 2]];
      const near = toTriangle(here, at(position, a), at(position, b), at(position, c));
      if (near.distance > least + 1e-9) continue;
      const there = [0, 1, 2].map(
        (k) => normal[a * 3 + k] * (1 - near.s - near.t) + normal[b * 3 + k] * near.s + normal[c * 3 + k] * near.t,
      );
      const length = Math.hypot(...there) || 1;
      const turn = Math.hypot(...[0, 1, 2].map((k) => there[k] / length - normal[v * 3 + k]));
      const wide = narrowness(position, a, b, c);
      off = near.distance < least - 1e-9 ? turn * wide * SHADING : Math.min(off, turn * wide * SHADING);
      least = Math.min(least, near.distance);
    }
    most = Math.max(most, Math.sqrt(least), off);
  }
  return most;
}

const distance = (position: Float32Array, a: number, b: number): number =>
  Math.hypot(...[0, 1, 2].map((k) => position[a * 3 + k] - position[b * 3 + k]));

/** The least height of a triangle. */
function narrowness(position: Float32Array, a: number, b: number, c: number): number {
  const sides = [distance(position, a, b), distance(position, b, c), distance(position, c, a)];
  const half = (sides[0] + sides[1] + sides[2]) / 2;
  const area = Math.sqrt(Math.max(0, half * (half - sides[0]) * (half - sides[1]) * (half - sides[2])));
  return (2 * area) / Math.max(...sides, 1e-12);
}

/** The longest edge of some triangles of a mesh, in units of its size. */
export function longestEdge({ position }: Pick<Mesh, 'position'>, index: Uint32Array): number {
  let most = 0;
  for (let t = 0; t < index.length; t += 3)
    for (let k = 0; k < 3; k++) most = Math.max(most, distance(position, index[t + k], index[t + ((k + 1) % 3)]));
  return most;
}
