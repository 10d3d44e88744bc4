import { describe, expect, it } from 'vitest';
import { PeriodicTable } from './periodic';

const wave = (phase: number): number => Math.sin(2 * Math.PI * phase) + 0.3 * Math.cos(2 * Math.PI * 5 * phase + 1);

describe('periodic tables', () => {
  it('read as the function they were made of', () => {
    const table = PeriodicTable.of(128, wave);
    for (let i = 0; i < 777; i++) expect(table.at(i / 777)).toBeCloseTo(wave(i / 777), 4);
    expect(table.at(-0.3)).toBeCloseTo(table.at(0.7), 12);
  });

  it('are continuous in value and slope, across the seam too', () => {
    const table = PeriodicTable.of(64, wave);
    const h = 1e-6;
    for (const phase of [0, 0.25, 10 / 64]) {
      const [before, after] = [
        (table.at(phase) - table.at(phase - h)) / h,
        (table.at(phase + h) - table.at(phase)) / h,
      ];
      expect(Math.abs(before - after)).toBeLessThan(1e-3);
    }
  });

  // the Fourier transform of a Gaussian, any table of transforms: exp(−2π²σ²n²) is left of the n-th harmonic
  it('soften by a Gaussian, keeping the mean', () => {
    const soft = PeriodicTable.of(512, (p) => 2 + Math.sin(2 * Math.PI * 3 * p)).softened(0.05);
    const left = Math.exp(-2 * (Math.PI * 0.05 * 3) ** 2);
    for (const phase of [0.05, 0.4, 0.99])
      expect(soft.at(phase)).toBeCloseTo(2 + left * Math.sin(2 * Math.PI * 3 * phase), 4);
    expect(PeriodicTable.of(8, wave).softened(0).at(0.3)).toBe(PeriodicTable.of(8, wave).at(0.3));
  });
});
