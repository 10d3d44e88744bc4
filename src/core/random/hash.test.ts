import { describe, expect, it } from 'vitest';
import { hash4, unitFrom } from './hash';

// Statistical tests as Jarzynski & Olano (JCGT 9(3), 2020) judge hashes by: uniformity and avalanche.
describe('hash', () => {
  it('is uniform: chi-square of 256 bins stays below the 0.1 % critical value', () => {
    const bins = 256;
    const count = 200_000;
    for (let lane = 0; lane < 4; lane++) {
      const seen = new Float64Array(bins);
      for (let i = 0; i < count; i++) seen[hash4(i, 7, 3, 0)[lane] >>> 24]++;
      const expected = count / bins;
      const chi2 = seen.reduce((sum, n) => sum + (n - expected) ** 2 / expected, 0);
      // 255 degrees of freedom: 330.5 at p = 0.001 (chi-square tables)
      expect(chi2).toBeLessThan(330.5);
    }
  });

  // unit() uses the upper 24 bits of a lane, so those are what must change. Addresses stay below 2^24 (elements,
  // channels); from bit 24 on pcg4d mixes less (bit 30 turns 39 % of all output).
  it('avalanches: flipping an input bit flips about half of the output bits', () => {
    for (let axis = 0; axis < 4; axis++)
      for (const bit of [0, 1, 7, 15, 20, 23]) {
        let flips = 0;
        const trials = 400;
        for (let i = 0; i < trials; i++) {
          const at = [i * 977, 12 + i, 5, 9];
          const before = hash4(at[0], at[1], at[2], at[3]);
          at[axis] ^= 1 << bit;
          const after = hash4(at[0], at[1], at[2], at[3]);
          for (let lane = 0; lane < 4; lane++) for (let x = (before[lane] ^ after[lane]) >>> 8; x; x &= x - 1) flips++;
        }
        const share = flips / (trials * 96);
        expect(share).toBeGreaterThan(0.4);
        expect(share).toBeLessThan(0.6);
      }
  });

  it('is an address, not a sequence: the same place gives the same number, neighbours differ', () => {
    expect(hash4(5, 6, 7, 8)).toEqual(hash4(5, 6, 7, 8));
    expect(hash4(5, 6, 7, 8)).not.toEqual(hash4(6, 6, 7, 8));
    expect(unitFrom(0xffffffff)).toBeLessThan(1);
  });
});
