import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { RF } from '../kernel/scratch';
import type { Rgb } from './colour';
import { curveAt, tetrahedron } from './lookup.gen';
import { lookedUp, type ColourTable } from './table';

const share = fc.double({ min: 0, max: 1, noNaN: true });
const colour = fc.tuple(share, share, share);

/** A cube with a colour of chance in every corner, or one that a law gives. */
function cube(side: number, of: (c: Rgb) => Rgb, more: Partial<ColourTable> = {}): ColourTable {
  const values = new Float32Array(3 * side ** 3);
  for (let i = 0; i < side ** 3; i++) {
    const at = [i % side, Math.floor(i / side) % side, Math.floor(i / side ** 2)];
    values.set(of(at.map((v) => v / (side - 1)) as Rgb), 3 * i);
  }
  return { name: 'made', of: 'colours', side, low: [0, 0, 0], high: [1, 1, 1], values, ...more };
}
const scattered = ([r, g, b]: Rgb): Rgb =>
  [1, 2, 3].map((k) => Math.abs(Math.sin(97 * k * r + 61 * g + 37 * k * k * b + k)) % 1) as Rgb;

/** The determinant of three columns. */
const det = (a: Rgb, b: Rgb, c: Rgb): number =>
  a[0] * (b[1] * c[2] - b[2] * c[1]) - a[1] * (b[0] * c[2] - b[2] * c[0]) + a[2] * (b[0] * c[1] - b[1] * c[0]);

/**
 * The same by brute force: of the six tetrahedra with the cell's diagonal as an edge, one for each order in which the axes are gone along, the
 * one that the place is in, by Cramer's rule for its shares of the four corners.
 */
function bruteForce({ side, values }: ColourTable, c: Rgb): Rgb {
  const x = c.map((v) => v * (side - 1));
  const cell = x.map((v) => Math.min(Math.floor(v), side - 2));
  const f = x.map((v, k) => v - cell[k]) as Rgb;
  const entry = (corner: readonly number[]): Rgb => {
    const at = 3 * (cell[0] + corner[0] + side * (cell[1] + corner[1] + side * (cell[2] + corner[2])));
    return [values[at], values[at + 1], values[at + 2]];
  };
  for (const [i, j] of [
    [0, 1],
    [0, 2],
    [1, 0],
    [1, 2],
    [2, 0],
    [2, 1],
  ]) {
    const one: Rgb = [0, 0, 0];
    one[i] = 1;
    const two: Rgb = [...one];
    two[j] = 1;
    const whole = det(one, two, [1, 1, 1]);
    const shares = [det(f, two, [1, 1, 1]), det(one, f, [1, 1, 1]), det(one, two, f)].map((d) => d / whole);
    const rest = 1 - shares[0] - shares[1] - shares[2];
    if ([rest, ...shares].some((v) => v < -1e-12)) continue;
    const corners = [entry([0, 0, 0]), entry(one), entry(two), entry([1, 1, 1])];
    return [0, 1, 2].map((k) => [rest, ...shares].reduce((sum, v, at) => sum + v * corners[at][k], 0)) as Rgb;
  }
  throw new RangeError('a place in no tetrahedron');
}

describe('a table of colours', () => {
  it('mixes in tetrahedra as a brute-force formula does', () => {
    const table = cube(4, scattered);
    fc.assert(
      fc.property(colour, (c) => {
        bruteForce(table, c).forEach((v, k) => expect(lookedUp(table, c)[k]).toBeCloseTo(v, 9));
      }),
      { numRuns: 2000 },
    );
  });

  it('the shares of a cell’s corners are a mean, whatever the order of the channels, and equal ones too', () =>
    fc.assert(
      fc.property(
        fc.oneof(
          colour,
          share.map((v) => [v, v, v] as [number, number, number]),
        ),
        (f) => {
          tetrahedron(...f);
          const [ax, ay, az, bx, by, bz, ...shares] = RF.slice(0, 10);
          expect(ax + ay + az).toBe(1);
          expect(bx + by + bz).toBe(2);
          expect(shares.reduce((a, b) => a + b)).toBeCloseTo(1, 12);
          expect(Math.min(...shares)).toBeGreaterThanOrEqual(-1e-15);
        },
      ),
    ));

  it('the one of colours as they are leaves every code value, and beyond its border it is the border', () => {
    for (const side of [2, 5, 33]) {
      const table = cube(side, (c) => c);
      for (let i = 0; i < 256; i++) {
        const c: Rgb = [i / 255, ((i * 7) % 256) / 255, ((i * 31) % 256) / 255];
        lookedUp(table, c).forEach((v, k) => expect(Math.abs(v - c[k])).toBeLessThan(1e-6));
      }
    }
    expect(
      lookedUp(
        cube(3, (c) => c),
        [1.5, -1, 0.5],
      ),
    ).toEqual([1, 0, 0.5]);
  });

  it('a domain of its own is where its entries lie', () => {
    const table = cube(3, ([r, g, b]) => [2 * r - 0.5, 2 * g - 0.5, 2 * b - 0.5], {
      low: [-0.5, -0.5, -0.5],
      high: [1.5, 1.5, 1.5],
    });
    lookedUp(table, [0.3, 0.9, 0]).forEach((v, k) => expect(v).toBeCloseTo([0.3, 0.9, 0][k], 6));
  });

  it('of channels looks each up in its own column', () => {
    const values = Float32Array.from([0, 1, 0, 0.5, 0.5, 0.1, 1, 0, 1]);
    const table: ColourTable = { name: 'made', of: 'channels', side: 3, low: [0, 0, 0], high: [1, 1, 1], values };
    lookedUp(table, [0.25, 0.25, 0.75]).forEach((v, k) => expect(v).toBeCloseTo([0.25, 0.75, 0.55][k], 6));
  });
});

describe('a curve through eight values', () => {
  const at = (knots: readonly number[], t: number): number => {
    const [a, b, c, d, e, f, g, h] = knots;
    return curveAt(a, b, c, d, e, f, g, h, t);
  };
  const knots = fc.array(share, { minLength: 8, maxLength: 8 });

  it('goes through them, and through values on a line is that line', () =>
    fc.assert(
      fc.property(knots, share, (values, t) => {
        values.forEach((v, i) => expect(at(values, i / 7)).toBeCloseTo(v, 9));
        const line = values.map((_, i) => values[0] + (values[1] - values[0]) * (i / 7));
        expect(at(line, t)).toBeCloseTo(values[0] + (values[1] - values[0]) * t, 9);
      }),
    ));

  it('between two of them never leaves them, so that what rises stays rising', () =>
    fc.assert(
      fc.property(knots, fc.integer({ min: 0, max: 6 }), share, share, (values, i, u, v) => {
        const [low, high] = [Math.min(u, v), Math.max(u, v)].map((within) => at(values, (i + within) / 7));
        const [from, to] = [values[i], values[i + 1]];
        for (const value of [low, high]) {
          expect(value).toBeGreaterThanOrEqual(Math.min(from, to) - 1e-9);
          expect(value).toBeLessThanOrEqual(Math.max(from, to) + 1e-9);
        }
        expect((high - low) * Math.sign(to - from)).toBeGreaterThanOrEqual(-1e-9);
      }),
    ));

  it('has no corner at its values', () =>
    fc.assert(
      fc.property(knots, fc.integer({ min: 1, max: 6 }), (values, i) => {
        const e = 1e-6;
        const slope = (from: number): number => (at(values, from + e) - at(values, from)) / e;
        expect(Math.abs(slope(i / 7) - slope(i / 7 - e))).toBeLessThan(1e-3);
      }),
    ));
});
