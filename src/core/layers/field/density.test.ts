import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../../tests/pieces';
import { cellNoise } from '../../noise/cells';
import { fitNoise } from '../../noise/fit';
import { flowNoiseInto } from '../../noise/flow';
import { layerElements } from '../../world/layers';
import type { FieldLayer } from './form';

const TILE = 8;
const APART = 2;
const { scale, period } = fitNoise(APART, TILE);
/** What a density adds to the seed of the layer, which is 5. */
const SEED = 5 + 211;

type Density = FieldLayer['dense'];

const placesOf = (count: number, more: object): Float64Array =>
  layerElements(
    pieceOf({ kind: 'field', shape: 'box', width: 12, height: 12, denseScale: APART, count, ...more }),
    'one',
    0,
  ).position;

/** What each density goes by at a place of the world: by the words of density.ts and nothing of it. */
function measure(dense: Density, x: number, y: number, z: number): number {
  // a box that tiles has its middle half a tile ahead
  const at = [x * scale[0], y * scale[1], (z + TILE / 2) * scale[2]] as const;
  if (dense === 'clouds') {
    const coarse = { value: 0, gx: 0, gy: 0, gz: 0 };
    const fine = { ...coarse };
    flowNoiseInto(coarse, ...at, 0, 1, period, SEED);
    const twice = period.map((n) => n * 2) as [number, number, number];
    flowNoiseInto(fine, at[0] * 2, at[1] * 2, at[2] * 2, 0, 1, twice, SEED + 1);
    return coarse.value + fine.value / 2;
  }
  const { nearest, next } = cellNoise([...at], 0, 1, period, SEED);
  return dense === 'middles' ? nearest : next - nearest;
}

/** How many there are by what their density goes by, in tenths from `low` to `high`. */
function histogram(dense: Density, positions: Float64Array, low: number, high: number): number[] {
  const counts = Array.from({ length: 10 }, () => 0);
  for (let i = 0; i < positions.length; i += 3) {
    const bin = Math.floor(
      ((measure(dense, positions[i], positions[i + 1], positions[i + 2]) - low) / (high - low)) * 10,
    );
    if (bin >= 0 && bin < 10) counts[bin]++;
  }
  return counts;
}

/** The integral of 3t² − 2t³, the smooth step from 0 to 1. */
const under = (t: number): number => t ** 3 - t ** 4 / 2;

describe('the density of a field', () => {
  it.each([
    ['clouds', -0.1, 0.6],
    ['middles', 0.05, 0.5],
    ['walls', 0.05, 0.25],
  ] as const)('%s: as many at each place as its share of the most says', (dense, low, high) => {
    const even = histogram(dense, placesOf(60_000, { dense: 'even' }), low, high);
    const chosen = histogram(dense, placesOf(60_000, { dense, denseContrast: 1 }), low, high);
    const share = Array.from({ length: 10 }, (_, i) => 10 * (under((i + 1) / 10) - under(i / 10))).map((s) =>
      dense === 'clouds' ? s : 1 - s,
    );
    const whole = (list: number[]): number => list.reduce((sum, n) => sum + n, 0);
    const expected = even.map((n, i) => n * share[i]);
    const scaled = whole(chosen) / whole(expected);
    let looked = 0;
    for (let i = 0; i < 10; i++) {
      const wanted = expected[i] * scaled;
      // few draws tell little
      if (even[i] < 100 || wanted < 100) continue;
      looked++;
      expect(Math.abs(chosen[i] / wanted - 1), `tenth ${i}`).toBeLessThan(
        4 * Math.sqrt(1 / even[i] + 1 / wanted) + 0.02,
      );
    }
    expect(looked).toBeGreaterThan(5);
  });

  it('between what it fills there is nothing at full contrast, some at less, as much as anywhere at none', () => {
    const inVoids = (denseContrast: number): number => {
      const positions = placesOf(20_000, { dense: 'clouds', denseContrast });
      let few = 0;
      for (let i = 0; i < positions.length; i += 3)
        if (measure('clouds', positions[i], positions[i + 1], positions[i + 2]) < -0.1) few++;
      return few / 20_000;
    };
    const even = inVoids(0);
    expect(inVoids(1)).toBe(0);
    expect(inVoids(0.9)).toBeGreaterThan(0.02);
    expect(inVoids(0.9)).toBeLessThan(even / 2);
    expect(placesOf(500, { dense: 'clouds', denseContrast: 0 })).toEqual(placesOf(500, { dense: 'even' }));
  });

  it('raising the count moves nothing', () => {
    const few = placesOf(1000, { dense: 'walls' });
    expect(placesOf(4000, { dense: 'walls' }).subarray(0, 3000)).toEqual(few);
  });

  it('a cloud goes on in the next tile', () => {
    const positions = placesOf(60_000, { dense: 'clouds', denseContrast: 1 });
    const columns = (from: number): number[] => {
      const counts = Array.from({ length: 144 }, () => 0);
      for (let i = 0; i < positions.length; i += 3) {
        const along = -positions[i + 2];
        if (along < from || along > from + 0.25) continue;
        counts[Math.min(11, Math.floor(positions[i] + 6)) * 12 + Math.min(11, Math.floor(positions[i + 1] + 6))]++;
      }
      return counts;
    };
    const likeness = (a: number[], b: number[]): number => {
      const mean = (list: number[]): number => list.reduce((sum, n) => sum + n, 0) / list.length;
      const [ma, mb] = [mean(a), mean(b)];
      const dot = (p: number[], q: number[], mp: number, mq: number): number =>
        p.reduce((sum, v, i) => sum + (v - mp) * (q[i] - mq), 0);
      return dot(a, b, ma, mb) / Math.sqrt(dot(a, a, ma, ma) * dot(b, b, mb, mb));
    };
    expect(likeness(columns(0), columns(TILE - 0.25))).toBeGreaterThan(0.7);
    expect(likeness(columns(0), columns(TILE / 2 - 1))).toBeLessThan(0.5);
  });

  it('a volume that lies in a void is filled all the same', () => {
    // 2 cm of cells 400 m across
    const small = { shape: 'ball', width: 0.02, height: 0.02, depth: 0.02, ahead: 0 };
    const positions = placesOf(200, { ...small, dense: 'middles', denseScale: 400, denseContrast: 1 });
    const rest = placesOf(200, small);
    expect(positions.length).toBe(600);
    for (let i = 0; i < 600; i += 3) expect(Math.hypot(...positions.subarray(i, i + 3))).toBeLessThan(0.0101);
    expect(positions).not.toEqual(rest);
  });

  it('colours may go by it', () => {
    const { position, place } = layerElements(
      pieceOf({
        kind: 'field',
        shape: 'box',
        width: 12,
        height: 12,
        denseScale: APART,
        count: 4000,
        dense: 'clouds',
        denseContrast: 0.5,
        placeBy: 'density',
      }),
      'one',
      0,
    );
    for (let i = 0; i < 4000; i++) {
      const value = measure('clouds', ...(position.subarray(i * 3, i * 3 + 3) as unknown as [number, number, number]));
      expect(Math.abs(place[i] - Math.min(1, Math.max(0, 0.5 + value)))).toBeLessThan(0.061);
    }
  });
});
