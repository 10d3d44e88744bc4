import { RF } from '../kernel/scratch';
import { flowNoise as flowNoiseKernel } from './flow.gen';

export interface NoiseSample {
  value: number;
  gx: number;
  gy: number;
  gz: number;
}

/**
 * Flow noise at a point: value in -1..1 (mean 0, standard deviation about 0.26) and its exact gradient per lattice unit.
 * @param phase time in laps; any real, period 1
 * @param cycles the most whole cycles per lap a gradient makes, at least 1; 4 or more for rich motion
 * @param period whole lattice units per axis after which the noise repeats, at least 2
 */
export function flowNoise(
  x: number,
  y: number,
  z: number,
  phase: number,
  cycles: number,
  period: readonly [number, number, number],
): NoiseSample {
  const out = { value: 0, gx: 0, gy: 0, gz: 0 };
  flowNoiseInto(out, x, y, z, phase, cycles, period);
  return out;
}

/** The allocation-free form: fills `out`. */
export function flowNoiseInto(
  out: NoiseSample,
  x: number,
  y: number,
  z: number,
  phase: number,
  cycles: number,
  period: readonly [number, number, number],
  seed = 0,
): void {
  flowNoiseKernel(x, y, z, period[0], period[1], period[2], seed, phase, cycles);
  out.value = RF[0];
  out.gx = RF[1];
  out.gy = RF[2];
  out.gz = RF[3];
}
