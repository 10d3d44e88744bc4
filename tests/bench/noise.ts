import { createNoise4D } from 'simplex-noise';
import { flowNoiseInto } from '../../src/core/noise/flow';

const COUNT = 300_000;

const time = (work: () => void): number => {
  const started = performance.now();
  work();
  return performance.now() - started;
};

/** Value and gradient in space at a time: ours, and four calls of simplex-noise by forward differences. Medians of 7. */
export function noiseRatio(): { ours: number; peer: number; ratio: number } {
  const out = { value: 0, gx: 0, gy: 0, gz: 0 };
  const period = [64, 64, 64] as const;
  let sink = 0;
  const ours = (): void => {
    for (let i = 0; i < COUNT; i++) {
      flowNoiseInto(out, i * 0.013, i * 0.007, i * 0.003, (i % 100) / 100, 4, period);
      sink += out.value + out.gx + out.gy + out.gz;
    }
  };
  const noise = createNoise4D(() => 0.5);
  const h = 1e-4;
  const peer = (): void => {
    for (let i = 0; i < COUNT; i++) {
      const [x, y, z, w] = [i * 0.013, i * 0.007, i * 0.003, (i % 100) / 100];
      const v = noise(x, y, z, w);
      sink += v + (noise(x + h, y, z, w) - v) / h + (noise(x, y + h, z, w) - v) / h + (noise(x, y, z + h, w) - v) / h;
    }
  };
  const runs = Array.from({ length: 7 }, () => [time(ours), time(peer)]);
  const median = (k: number): number => runs.map((run) => run[k]).sort((a, b) => a - b)[3];
  if (!Number.isFinite(sink)) throw new Error('a sample was not finite');
  return { ours: (median(0) * 1e6) / COUNT, peer: (median(1) * 1e6) / COUNT, ratio: median(0) / median(1) };
}
