import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hash4 } from '../random/hash';
import { cellNoise } from './cells';

type Three = [number, number, number];

const cell = fc.integer({ min: -40, max: 40 });
const within = fc.integer({ min: 0, max: 1023 }).map((n) => (n + 0.5) / 1024);
const place = fc
  .tuple(cell, cell, cell, within, within, within)
  .map(([x, y, z, u, v, w]): Three => [x + u, y + v, z + w]);
const lap = fc.integer({ min: 0, max: 255 }).map((n) => n / 256);
const PERIOD: Three = [5, 7, 3];

/** The point of a cell, by the words of cells.glsl and nothing of it. */
function pointOf(m: Three, period: Three, seed: number, t: number, cycles: number): Three {
  const wrapped = m.map((v, k) => ((v % period[k]) + period[k]) % period[k]);
  const h = hash4(wrapped[0], wrapped[1], wrapped[2], seed).map((v) => v >>> 0);
  const starts = [h[3] & 1023, (h[3] >>> 10) & 1023, (h[3] >>> 20) & 1023];
  return m.map((v, k) => {
    const unit = (h[k] >>> 8) / 2 ** 24;
    const count = 1 + (((h[k] & 255) * cycles) >> 8);
    return v + 0.5 + 0.27 * (2 * unit - 1) + 0.13 * Math.sin(2 * Math.PI * (count * t + starts[k] / 1024));
  }) as Three;
}

/** The distances to all points of the cells up to three away, from the nearest on. */
function distances(p: Three, t: number, cycles: number, period: Three, seed: number): number[] {
  const found: number[] = [];
  const base = p.map(Math.floor);
  for (let x = -3; x <= 3; x++)
    for (let y = -3; y <= 3; y++)
      for (let z = -3; z <= 3; z++) {
        const q = pointOf([base[0] + x, base[1] + y, base[2] + z], period, seed, t, cycles);
        found.push(Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]));
      }
  return found.sort((a, b) => a - b);
}

describe('cell noise', () => {
  it('repeats after whole periods along every axis and after every lap', () => {
    fc.assert(
      fc.property(place, lap, fc.constantFrom(0, 1, 2), (p, t, axis) => {
        const here = cellNoise(p, t, 4, PERIOD, 3);
        const beyond: Three = [...p];
        beyond[axis] += PERIOD[axis];
        for (const there of [cellNoise(beyond, t, 4, PERIOD, 3), cellNoise(p, t + 1, 4, PERIOD, 3)]) {
          expect(there.own).toBe(here.own);
          expect(Math.abs(there.nearest - here.nearest)).toBeLessThan(1e-12);
          expect(Math.abs(there.next - here.next)).toBeLessThan(1e-12);
        }
      }),
    );
  });

  it('finds the nearest point and the next, as looking at all of them does, but for few and little', () => {
    let [looked, missed, most] = [0, 0, 0];
    fc.assert(
      fc.property(place, lap, (p, t) => {
        const { nearest, next } = cellNoise(p, t, 4, PERIOD, 3);
        const [first, second] = distances(p, t, 4, PERIOD, 3);
        looked++;
        // what the 27 cells do not hold
        if (Math.abs(nearest - first) > 1e-6) missed++;
        most = Math.max(most, next - second);
        expect(nearest).toBeGreaterThan(first - 1e-6);
        expect(next).toBeGreaterThan(second - 1e-6);
      }),
      // one and the same 3000 samples: how many are missed is a matter of chance
      { numRuns: 3000, seed: 1996 },
    );
    expect(looked).toBe(3000);
    expect(missed).toBe(0);
    expect(most).toBeLessThan(0.2);
  });

  it('divides space as a lattice that was shaken does: less than chance alone, more than the lattice', () => {
    let [sum, squares] = [0, 0];
    const n = 20_000;
    for (let i = 0; i < n; i++) {
      const [a, b, c] = hash4(i, 1, 2, 3).map((v) => (v >>> 0) / 2 ** 32);
      const { nearest } = cellNoise([a * 30, b * 30, c * 30], 0.2, 3, [64, 64, 64], 5);
      sum += nearest;
      squares += nearest * nearest;
    }
    const mean = sum / n;
    const error = Math.sqrt((squares / n - mean * mean) / n);
    // points by chance: Γ(4/3)·(3/4π)^⅓ of the mean distance between them (Hertz, 1909; Chandrasekhar, 1943; from memory)
    expect(mean).toBeLessThan(0.55396 - 5 * error);
    // the middles of the cells of a cubic lattice: the mean distance of a place in a cube to its middle , 0.480296 (from memory)
    expect(mean).toBeGreaterThan(0.480296 + 5 * error);
  });

  it('has in each cell a number of its own, all alike likely', () => {
    const bins = new Array<number>(10).fill(0);
    for (let i = 0; i < 4000; i++) bins[Math.floor(cellNoise([i + 0.5, 0.5, 0.5], 0, 1, [4096, 4, 4], 1).own * 10)]++;
    // five standard deviations of a fair share
    for (const count of bins) expect(Math.abs(count - 400)).toBeLessThan(5 * Math.sqrt(400 * 0.9));
  });

  it('leads from its points: the vectors are the derivatives of the distances', () => {
    fc.assert(
      fc.property(place, lap, fc.constantFrom(0, 1, 2), (p, t, axis) => {
        const h = 1e-6;
        const at = (by: number) => {
          const q: Three = [...p];
          q[axis] += by;
          return cellNoise(q, t, 4, PERIOD, 3);
        };
        const [before, here, after] = [at(-h), at(0), at(h)];
        // not where another point becomes the nearest
        if (before.own !== after.own) return;
        expect((after.nearest - before.nearest) / (2 * h)).toBeCloseTo(here.first[axis] / here.nearest, 3);
      }),
    );
  });
});
