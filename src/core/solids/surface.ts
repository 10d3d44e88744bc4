import { hash4, unitFrom } from '../random/hash';
import type { Mesh } from './mesh';

/**
 * Places spread over a mesh's surface by area.
 * @returns x, y, z, 1 for each
 */
export function surfacePoints(mesh: Mesh, count: number, seed: number): Float32Array {
  const triangles = mesh.index.length / 3;
  const corner = (t: number, k: number): Float32Array =>
    mesh.position.subarray(mesh.index[t * 3 + k] * 3, mesh.index[t * 3 + k] * 3 + 3);
  const sums = new Float64Array(triangles);
  let total = 0;
  for (let t = 0; t < triangles; t++) {
    const [a, b, c] = [corner(t, 0), corner(t, 1), corner(t, 2)];
    const u = [0, 1, 2].map((k) => b[k] - a[k]);
    const v = [0, 1, 2].map((k) => c[k] - a[k]);
    total += Math.hypot(u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]) / 2;
    sums[t] = total;
  }
  const out = new Float32Array(count * 4);
  for (let i = 0; i < count; i++) {
    const [h, p, q] = hash4(i, seed, 58, 0).map(unitFrom);
    let low = 0;
    let high = triangles - 1;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (sums[middle] < h * total) low = middle + 1;
      else high = middle;
    }
    // even over a triangle: the square root keeps the corners from crowding
    const s = Math.sqrt(p);
    const [a, b, c] = [corner(low, 0), corner(low, 1), corner(low, 2)];
    for (let k = 0; k < 3; k++) out[i * 4 + k] = a[k] * (1 - s) + b[k] * s * (1 - q) + c[k] * s * q;
    out[i * 4 + 3] = 1;
  }
  return out;
}
