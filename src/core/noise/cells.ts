import { RF } from '../kernel/scratch';
import { cellNoise as cellNoiseKernel } from './cells.gen';

export interface CellSample {
  /** the number 0..1 of the cell */
  own: number;
  /** distance to the nearest point and to the next, in cells: F1 and F2 */
  nearest: number;
  next: number;
  /** from those points to the sample, in cells */
  first: [number, number, number];
  second: [number, number, number];
}

/**
 * Cell noise at a point, in cells: whose cell it is in, and how far the nearest points are (cells.glsl).
 * @param lap time in laps; any real, period 1
 * @param cycles the most whole cycles per lap a point goes round along an axis, at least 1
 * @param period whole cells per axis after which the noise repeats, at least 1
 */
export function cellNoise(
  [x, y, z]: readonly [number, number, number],
  lap: number,
  cycles: number,
  period: readonly [number, number, number],
  seed = 0,
): CellSample {
  cellNoiseKernel(x, y, z, period[0], period[1], period[2], seed, lap, cycles, 27);
  const first: CellSample['first'] = [RF[1], RF[2], RF[3]];
  const second: CellSample['second'] = [RF[4], RF[5], RF[6]];
  return { own: RF[0], nearest: Math.hypot(...first), next: Math.hypot(...second), first, second };
}
