import { createNoise4D } from 'simplex-noise';
import { RF } from '../../src/core/kernel/scratch';
import { momentOf } from '../../src/core/noise/moment';
import { flowNoiseAt } from '../../src/core/noise/moment.gen';

const COUNT = 300_000;
/** Samples are within a cube of so many lattice units. */
const SIZE = 16;
/** A place's coordinate along one axis; each has a pace of its own. */
const along = (i: number, pace: number): number => i * pace - SIZE * Math.floor((i * pace) / SIZE);

const time = (work: () => void): number => {
  const started = performance.now();
  work();
  return performance.now() - started;
};

/** Value and gradient in space of one moment, its table included: ours, and four calls of simplex-noise by forward differences. Medians of 7. */
export function noiseRatio(): { ours: number; peer: number; ratio: number } {
  let sink = 0;
  const ours = (): void => {
    const noise = {
      seed: 5,
      scale: [1, 1, 1] as const,
      period: [64, 64, 64] as const,
      potentials: 1 as const,
      octaves: 1,
    };
    const box = { low: [0, 0, 0], high: [SIZE, SIZE, SIZE] };
    const { table, from, size } = momentOf({ ...noise, lap: 0.3, cycles: 4 }, box, COUNT);
    const { numbers } = table;
    // names of this function: where modules are not bundled, an imported one is looked up at every use
    const [sample, given] = [flowNoiseAt, RF];
    const [fx, fy, fz] = from.map((v) => v - 2);
    const [mx, my, mz] = size.map((v) => v + 5);
    for (let i = 0; i < COUNT; i++) {
      const x = along(i, 0.013);
      const y = along(i, 0.007);
      const z = along(i, 0.003);
      sample(x, y, z, 64, 64, 64, 5, 0.3, 4, numbers, 0, fx, fy, fz, mx, my, mz);
      sink += given[0] + given[1] + given[2] + given[3];
    }
  };
  const noise = createNoise4D(() => 0.5);
  const h = 1e-4;
  const peer = (): void => {
    for (let i = 0; i < COUNT; i++) {
      const x = along(i, 0.013);
      const y = along(i, 0.007);
      const z = along(i, 0.003);
      const w = 0.3;
      const v = noise(x, y, z, w);
      sink += v + (noise(x + h, y, z, w) - v) / h + (noise(x, y + h, z, w) - v) / h + (noise(x, y, z + h, w) - v) / h;
    }
  };
  const runs = Array.from({ length: 7 }, () => [time(ours), time(peer)]);
  const median = (k: number): number => runs.map((run) => run[k]).sort((a, b) => a - b)[3];
  if (!Number.isFinite(sink)) throw new Error('a sample was not finite');
  return { ours: (median(0) * 1e6) / COUNT, peer: (median(1) * 1e6) / COUNT, ratio: median(0) / median(1) };
}
