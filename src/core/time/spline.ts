/**
 * Slopes of the periodic C2 cubic spline through values at phases in [0, 1), ascending.
 * Solves the cyclic tridiagonal system by Sherman–Morrison (Press et al., Numerical Recipes, 2.7).
 * One or two points are allowed. @returns one slope (per lap) for each point.
 */
export function periodicSlopes(at: readonly number[], value: readonly number[]): number[] {
  const n = at.length;
  if (n < 2) return value.map(() => 0);
  const gap = at.map((a, i) => (i + 1 < n ? at[i + 1] - a : at[0] + 1 - a));
  const rise = value.map((v, i) => (value[(i + 1) % n] - v) / gap[i]);
  if (n === 2) {
    // both equations coincide in form: solve the 2×2 system directly
    const a = 1 / gap[1] + 1 / gap[0];
    const right0 = 3 * (rise[1] / gap[1] + rise[0] / gap[0]);
    const right1 = 3 * (rise[0] / gap[0] + rise[1] / gap[1]);
    const det = 4 * a * a - a * a;
    return [(2 * a * right0 - a * right1) / det, (2 * a * right1 - a * right0) / det];
  }
  const low = at.map((_, i) => 1 / gap[(i + n - 1) % n]);
  const up = at.map((_, i) => 1 / gap[i]);
  const mid = at.map((_, i) => 2 * (low[i] + up[i]));
  const right = at.map((_, i) => 3 * (rise[(i + n - 1) % n] * low[i] + rise[i] * up[i]));
  const gamma = -mid[0];
  const diagonal = [...mid];
  diagonal[0] -= gamma;
  diagonal[n - 1] -= (up[n - 1] * low[0]) / gamma;
  const corner = at.map((_, i) => (i === 0 ? gamma : i === n - 1 ? up[n - 1] : 0));
  const x = tridiagonal(low, diagonal, up, right);
  const z = tridiagonal(low, diagonal, up, corner);
  const factor = (x[0] + (low[0] * x[n - 1]) / gamma) / (1 + z[0] + (low[0] * z[n - 1]) / gamma);
  return x.map((v, i) => v - factor * z[i]);
}

function tridiagonal(low: number[], mid: number[], up: number[], right: number[]): number[] {
  const n = mid.length;
  const scaled = new Array<number>(n).fill(0);
  const out = new Array<number>(n).fill(0);
  let beta = mid[0];
  out[0] = right[0] / beta;
  for (let i = 1; i < n; i++) {
    scaled[i] = up[i - 1] / beta;
    beta = mid[i] - low[i] * scaled[i];
    out[i] = (right[i] - low[i] * out[i - 1]) / beta;
  }
  for (let i = n - 2; i >= 0; i--) out[i] -= scaled[i + 1] * out[i + 1];
  return out;
}

/** Cubic Hermite value at t in 0..1 over a stretch of the given width. */
export function hermite(t: number, width: number, a: number, slopeA: number, b: number, slopeB: number): number {
  const u = 1 - t;
  return a * u * u * (1 + 2 * t) + b * t * t * (3 - 2 * t) + width * t * u * (slopeA * u - slopeB * t);
}
