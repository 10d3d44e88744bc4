import { expect, it } from 'vitest';
import { contrastSensitivity } from './sight';

/** SMPTE ST 2084: code values 0..1 to cd/m². */
const pq = (v: number): number => {
  const [m1, m2] = [2610 / 16384, (2523 / 4096) * 128];
  const [c1, c2, c3] = [3424 / 4096, (2413 / 4096) * 32, (2392 / 4096) * 32];
  const p = v ** (1 / m2);
  return 10_000 * (Math.max(0, p - c1) / (c2 - c3 * p)) ** (1 / m1);
};

it('has the thresholds that steps of a twelve-bit perceptual quantiser were laid out for', () => {
  // Miller, Nezamabadi, Daly, "Perceptual signal coding for more efficient usage of bit codes", SMPTE 2012: steps of 12 bits are
  // just below the threshold of Barten's model, as square waves, at the frequency that is seen best
  for (const code of [400, 800, 1200, 1600, 2000, 2400]) {
    const [from, to] = [pq(code / 4095), pq((code + 1) / 4095)];
    let best = 0;
    for (let u = 0.2; u < 20; u *= 1.1) best = Math.max(best, contrastSensitivity(from, u));
    const threshold = 2 / (1.27 * best);
    const step = (to - from) / from;
    expect(step / threshold).toBeGreaterThan(0.8);
    expect(step / threshold).toBeLessThan(1.15);
  }
});

it('sees best some cycles a degree, and less in the dark', () => {
  const best = [0.1, 1, 10, 100].map((light) =>
    Array.from({ length: 60 }, (_, i) => 0.2 * 1.08 ** i).reduce((a, b) =>
      contrastSensitivity(light, b, 10) > contrastSensitivity(light, a, 10) ? b : a,
    ),
  );
  expect(best[3]).toBeGreaterThan(2);
  expect(best[3]).toBeLessThan(6);
  expect([...best].sort((a, b) => a - b)).toEqual(best);
  expect(contrastSensitivity(100, 3)).toBeGreaterThan(3 * contrastSensitivity(0.1, 3));
});
