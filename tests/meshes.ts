import type { Mesh } from '../src/core/solids/mesh';

/** Volume of a closed mesh, by the divergence theorem. */
export function volumeOf({ position, index }: Mesh): number {
  let sum = 0;
  const at = (i: number): Float32Array => position.subarray(index[i] * 3, index[i] * 3 + 3);
  for (let i = 0; i < index.length; i += 3) {
    const [a, b, c] = [at(i), at(i + 1), at(i + 2)];
    sum += a[0] * (b[1] * c[2] - b[2] * c[1]) + a[1] * (b[2] * c[0] - b[0] * c[2]) + a[2] * (b[0] * c[1] - b[1] * c[0]);
  }
  return sum / 6;
}
