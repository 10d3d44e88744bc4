import { describe, expect, it } from 'vitest';
import { LOBES, LOBES_SIDE } from './lobes';

const numbers = new Float32Array(Uint8Array.from(atob(LOBES), (c) => c.charCodeAt(0)).buffer);
type V3 = readonly [number, number, number];

/** A lobe as the program reads it, at a roughness and a root of one minus the cosine that lie in the table. */
const lobeAt = (column: number, row: number): number[] => [
  ...numbers.subarray((row * LOBES_SIDE + column) * 6, (row * LOBES_SIDE + column + 1) * 6),
];

/** GGX with Smith's joint visibility, times the cosine (Walter et al. 2007; Heitz 2014), written out anew from the papers. */
function lobe(v: V3, l: V3, alpha: number): number {
  if (l[2] <= 0) return 0;
  const h = [v[0] + l[0], v[1] + l[1], v[2] + l[2]];
  const nh = h[2] / Math.hypot(...h);
  const a2 = alpha * alpha;
  const d = a2 / (Math.PI * (nh * nh * (a2 - 1) + 1) ** 2);
  const lambda = (c: number): number => (Math.sqrt(1 + (a2 * (1 - c * c)) / (c * c)) - 1) / 2;
  return (d / (1 + lambda(v[2]) + lambda(l[2])) / (4 * v[2] * l[2])) * l[2];
}

/** What the table says of the same, as a density. */
function transformed([m0, m1, m2, m3]: number[], l: V3): number {
  const o = [m0 * l[0] + m2 * l[2], l[1], m1 * l[0] + m3 * l[2]];
  const det = m0 * m3 - m2 * m1;
  const length = Math.hypot(...o);
  return (Math.max(0, o[2] / length) / Math.PI) * (Math.abs(det) / length ** 3);
}

/** A function of directions summed over a rectangle that is seen from the origin. */
function over(of: (l: V3) => number, middle: V3, wide: number, high: number): number {
  const n = 160;
  let sum = 0;
  for (let i = 0; i < n; i++)
    for (let j = 0; j < n; j++) {
      // it faces down
      const p = [middle[0] + ((i + 0.5) / n - 0.5) * wide, middle[1] + ((j + 0.5) / n - 0.5) * high, middle[2]];
      const r = Math.hypot(...p);
      sum += (of([p[0] / r, p[1] / r, p[2] / r]) * p[2]) / r ** 3;
    }
  return (sum * wide * high) / (n * n);
}

describe('the lobes of highlights', () => {
  it('are numbers, and no larger than what comes in', () => {
    expect(numbers).toHaveLength(LOBES_SIDE * LOBES_SIDE * 6);
    for (let i = 0; i < numbers.length; i += 6) {
      const [size, grazing] = [numbers[i + 4], numbers[i + 5]];
      expect(size > 0.1 && size < 1.01 && grazing >= -1e-6 && grazing < size + 1e-6).toBe(true);
    }
  });

  it('give what a rectangle adds to a lobe, against the lobe itself summed over it', () => {
    const worst = [0, 0];
    for (const column of [8, 14, 20, 26, 31])
      for (const row of [0, 8, 16, 24]) {
        const alpha = (column / (LOBES_SIDE - 1)) ** 2;
        const cosine = 1 - (row / (LOBES_SIDE - 1)) ** 2;
        const sine = Math.sqrt(1 - cosine * cosine);
        const v: V3 = [sine, 0, cosine];
        const own = lobeAt(column, row);
        for (const [x, y, wide, high] of [
          [-sine / cosine, 0, 0.8, 0.6],
          [-sine / cosine + 0.4, 0.3, 1, 1],
          [0, 0, 3, 2],
        ]) {
          const truth = over((l) => lobe(v, l, alpha), [x, y, 1], wide, high);
          const told = own[4] * over((l) => transformed(own, l), [x, y, 1], wide, high);
          const steep = row > 16 ? 1 : 0;
          worst[steep] = Math.max(worst[steep], Math.abs(told - truth));
        }
      }
    // of a lobe that holds 1 in all; at grazing angles lobes have a tail that no transformed cosine has
    expect(worst[0]).toBeLessThan(0.03);
    expect(worst[1]).toBeLessThan(0.1);
  });
});
