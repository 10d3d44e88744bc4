import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { flareAbove, flareGrowth, flareKept, flareTent } from './flare.gen';

/** A light: where, in cells, and how bright. */
interface Lamp {
  x: number;
  y: number;
  light: number;
}
const [COLUMNS, ROWS] = [16, 9];

/** How strong a flare each lamp has, as the passes work it out from cells. */
function flaresOf(lamps: readonly Lamp[], count: number): number[] {
  const shares = (lamp: Lamp) =>
    Array.from(
      { length: COLUMNS * ROWS },
      (_, i) => flareTent(lamp.x - (i % COLUMNS) - 0.5) * flareTent(lamp.y - Math.floor(i / COLUMNS) - 0.5),
    );
  const own = lamps.map(shares);
  const cells = own[0].map((_, i) => lamps.reduce((sum, { light }, k) => sum + light * own[k][i], 0));
  const around = cells.map((_, i) => {
    const [x, y] = [i % COLUMNS, Math.floor(i / COLUMNS)];
    let sum = 0;
    for (let dy = -1; dy <= 1; dy++)
      for (let dx = -1; dx <= 1; dx++)
        if (x + dx >= 0 && x + dx < COLUMNS && y + dy >= 0 && y + dy < ROWS) sum += cells[i + dy * COLUMNS + dx];
    return sum;
  });
  const strength = cells.map((cell, i) => {
    if (cell <= 0) return 0;
    const brighter = cells.reduce(
      (sum, other, j) => (other > 0 ? sum + (other / around[j]) * flareAbove(around[j], around[i]) : sum),
      0,
    );
    return flareKept(brighter, count) * flareGrowth(around[i]);
  });
  return lamps.map(({ light }, k) =>
    own[k].reduce((sum, part, i) => (cells[i] > 0 ? sum + ((light * part) / around[i]) * strength[i] : sum), 0),
  );
}

const lamp = (x: number, y: number, light: number): Lamp => ({ x, y, light });

describe('flares of the brightest lights', () => {
  it('are whole of those well above the last, and none is left of those below', () => {
    const far = [1, 2, 4, 8, 16].map((light, i) => lamp(1.3 + 3 * i, 4.2, light * 1e-4));
    const flares = flaresOf(far, 2);
    expect(flares[4]).toBeCloseTo(flareGrowth(16e-4), 6);
    expect(flares[3] / flareGrowth(8e-4)).toBeCloseTo(0.5, 6);
    expect(flares.slice(0, 3)).toEqual([0, 0, 0]);
  });

  it('are as strong wherever between cells a light is', () =>
    fc.assert(
      fc.property(fc.double({ min: 3, max: 7, noNaN: true }), fc.double({ min: 2, max: 7, noNaN: true }), (x, y) => {
        const [moved] = flaresOf([lamp(x, y, 3e-4), lamp(13.2, 4.7, 9e-4)], 3);
        expect(moved).toBeCloseTo(flareGrowth(3e-4), 6);
      }),
    ));

  it('do not come or go at once, while a light brightens past others and wanders', () => {
    const at = (t: number): number[] =>
      flaresOf(
        [
          lamp(2 + 3 * t, 3 + 2 * t, 1e-4 * (0.2 + 8 * t)),
          lamp(9.4, 2.1, 2e-4),
          lamp(12.7, 6.6, 4e-4),
          lamp(8.2, 7.1, 5e-4),
        ],
        2,
      );
    let most = 0;
    let before = at(0);
    for (let t = 0.002; t <= 1; t += 0.002) {
      const here = at(t);
      here.forEach((v, i) => (most = Math.max(most, Math.abs(v - before[i]))));
      before = here;
    }
    expect(at(0)[0]).toBe(0);
    expect(before[0]).toBeGreaterThan(0.9);
    // five hundred steps: none takes a twentieth of the way
    expect(most).toBeLessThan(0.05);
  });
});
