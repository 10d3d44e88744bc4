import { describe, expect, it } from 'vitest';
import { LAYERS } from '../kinds';
import { hash4, unitFrom } from '../../random/hash';
import { landAt } from '../../noise/land';
import { ground, landOf } from './ground';
import type { GroundLayer } from './form';

const TILE = 12;
const land = (more: object): GroundLayer =>
  LAYERS.schema.parse({
    kind: 'ground',
    id: 'one',
    name: 'Land',
    seed: 4,
    relief: 0.8,
    feature: 2,
    above: 0,
    ...more,
  }) as GroundLayer;

/** Places all over a tile. */
const places = Array.from({ length: 3000 }, (_, i): [number, number] => {
  const [a, b] = hash4(i, 7, 1, 0).map(unitFrom);
  return [(a - 0.5) * 30, -b * TILE];
});

describe.each(['round', 'ridged', 'cobbles', 'columns'] as const)('land of the form %s', (form) => {
  const at = landAt(landOf(land({ form, octaves: 2 }), TILE));

  it('repeats with the tile and stays within its relief', () => {
    let [low, high] = [0, 0];
    for (const [x, z] of places) {
      const { height } = at(x, z);
      expect(at(x, z - TILE).height).toBeCloseTo(height, 9);
      low = Math.min(low, height);
      high = Math.max(high, height);
    }
    expect(high).toBeLessThanOrEqual(0.8);
    expect(low).toBeGreaterThanOrEqual(-0.8);
    expect(high - low).toBeGreaterThan(0.6);
  });

  it('slopes as its heights do', () => {
    const step = 1e-5;
    let folded = 0;
    for (const [x, z] of places) {
      const { slopeX, slopeZ } = at(x, z);
      const ways = [
        [slopeX, (at(x + step, z).height - at(x - step, z).height) / (2 * step)],
        [slopeZ, (at(x, z + step).height - at(x, z - step).height) / (2 * step)],
      ];
      // on a crest, or where another point becomes the nearest, there is no one slope
      if (ways.some(([said, is]) => Math.abs(said - is) > 1e-3 * (1 + Math.abs(is)))) folded++;
    }
    expect(folded / places.length).toBeLessThan(0.002);
  });
});

describe('land of cells', () => {
  it('columns are level on top, each at a height of its own, and fall to the ground between them', () => {
    const at = landAt(landOf(land({ form: 'columns', octaves: 1, valley: 0 }), TILE));
    const level = places.filter(([x, z]) => {
      const { slopeX, slopeZ } = at(x, z);
      return slopeX === 0 && slopeZ === 0;
    });
    expect(level.length / places.length).toBeGreaterThan(0.3);
    expect(new Set(level.map(([x, z]) => at(x, z).height.toFixed(6))).size).toBeGreaterThan(60);
    expect(Math.min(...places.map(([x, z]) => at(x, z).height))).toBeLessThan(-0.79);
  });
});

describe('what mirrors', () => {
  it('is water and land of no height; hills say that they do not', () => {
    const asked = (more: object): [boolean | undefined, number | undefined] => {
      const layer = land({ mirrors: 'all', ...more });
      return [ground.mirrors?.(layer), ground.remarks?.(layer).length];
    };
    expect(asked({ surface: 'water' })).toEqual([true, 0]);
    expect(asked({ relief: 0 })).toEqual([true, 0]);
    expect(asked({})).toEqual([false, 1]);
    expect(asked({ mirrors: 'sky' })).toEqual([false, 0]);
  });
});
