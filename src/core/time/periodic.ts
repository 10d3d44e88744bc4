import { wrapPhase } from './lap';
import { hermite } from './spline';

/**
 * Values that return after a lap, kept as equally spaced samples and read as a smooth (C1, fourth-order) curve through
 * them.
 */
export class PeriodicTable {
  constructor(readonly samples: Float64Array) {}

  /** Samples of a function of the phase at `count` phases from 0 on. */
  static of(count: number, at: (phase: number) => number): PeriodicTable {
    return new PeriodicTable(Float64Array.from({ length: count }, (_, i) => at(i / count)));
  }

  at(phase: number): number {
    const { samples } = this;
    const n = samples.length;
    const x = wrapPhase(phase) * n;
    const i = Math.floor(x) % n;
    const of = (k: number): number => samples[(i + k + n) % n];
    // slopes of fourth order from four neighbours
    const slope = (k: number): number => (8 * (of(k + 1) - of(k - 1)) - (of(k + 2) - of(k - 2))) / 12;
    return hermite(x - Math.floor(x), 1, of(0), slope(0), of(1), slope(1));
  }

  /**
   * The same softened by a Gaussian around the lap.
   * @param width its standard deviation as a share of the lap; 0 leaves all as it is
   */
  softened(width: number): PeriodicTable {
    const n = this.samples.length;
    const reach = Math.min(n - 1, Math.ceil(width * n * 5));
    if (reach < 1 || width <= 0) return this;
    const weights = Array.from({ length: 2 * reach + 1 }, (_, k) => Math.exp(-0.5 * ((k - reach) / (width * n)) ** 2));
    const sum = weights.reduce((a, b) => a + b, 0);
    return new PeriodicTable(
      this.samples.map((_, i) => {
        let value = 0;
        weights.forEach((w, k) => (value += w * this.samples[(((i + k - reach) % n) + n) % n]));
        return value / sum;
      }),
    );
  }
}
