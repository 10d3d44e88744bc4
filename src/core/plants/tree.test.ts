import { describe, expect, it } from 'vitest';
import { grow } from './grow';
import { SPECIES, type SpeciesName } from './species';
import { thickAt } from './tree';

const trees = Object.entries(SPECIES).flatMap(([name, species]) =>
  'tree' in species ? [[name as SpeciesName, species] as const] : [],
);

describe('trees', () => {
  it('cross-sections above a fork sum to the one below it', () => {
    const forks = [0.3, 0.5, 0.5001, 0.9];
    const area = (share: number): number => thickAt(2, forks, share) ** 2;
    for (const fork of forks) expect(area(fork - 1e-9)).toBeCloseTo(area(fork) + 4 / 5, 9);
    expect(area(0)).toBe(4);
    expect(area(1)).toBeCloseTo(4 / 5, 9);
  });

  it.each(trees)('%s stands on its foot, one unit high, and branches above its bare trunk', (_, species) => {
    expect(trees.length).toBe(4);
    for (const seed of [1, 2, 3]) {
      const { position, index } = grow(species, seed);
      let [low, high, wide, foot] = [9, 0, 0, 0];
      for (let i = 0; i < position.length; i += 3) {
        low = Math.min(low, position[i + 1]);
        high = Math.max(high, position[i + 1]);
        wide = Math.max(wide, Math.hypot(position[i], position[i + 2]));
        if (position[i + 1] < 0.03) foot = Math.max(foot, Math.hypot(position[i], position[i + 2]));
      }
      expect(high).toBeCloseTo(1, 6);
      expect(low).toBeGreaterThan(-0.02);
      // a crown many times as wide as the trunk is at its foot
      expect(foot).toBeLessThan(0.08);
      expect(wide).toBeGreaterThan(4 * foot);
      expect(index.length / 3).toBeLessThan(6000);
    }
  });
});
