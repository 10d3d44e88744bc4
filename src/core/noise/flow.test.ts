import { createNoise3D } from 'simplex-noise';
import { describe, expect, it } from 'vitest';
import { hash4, unitFrom } from '../random/hash';
import { flowNoise } from './flow';
import { RF } from '../kernel/scratch';
import { curlAt } from './moment.gen';

const PERIOD = [8, 8, 8] as const;
const anywhere = (i: number): [number, number, number, number] =>
  hash4(i, 3, 1, 4).map((h) => unitFrom(h) * 8) as [number, number, number, number];

describe('flow noise', () => {
  it('repeats in space and in the lap to 1e-12', () => {
    for (let i = 0; i < 300; i++) {
      const [x, y, z, t] = anywhere(i);
      const here = flowNoise(x, y, z, t / 8, 4, PERIOD).value;
      for (const [a, b, c] of [
        [8, 0, 0],
        [0, -8, 0],
        [0, 0, 16],
        [-8, 8, -24],
      ])
        expect(flowNoise(x + a, y + b, z + c, t / 8, 4, PERIOD).value).toBeCloseTo(here, 12);
      expect(flowNoise(x, y, z, t / 8 + 1, 4, PERIOD).value).toBeCloseTo(here, 12);
    }
  });

  it('has the gradient its values have', () => {
    const h = 1e-5;
    for (let i = 0; i < 400; i++) {
      const [x, y, z, t] = anywhere(i);
      const at = (dx: number, dy: number, dz: number): number =>
        flowNoise(x + dx, y + dy, z + dz, t / 8, 5, PERIOD).value;
      const { gx, gy, gz } = flowNoise(x, y, z, t / 8, 5, PERIOD);
      expect(gx).toBeCloseTo((at(h, 0, 0) - at(-h, 0, 0)) / (2 * h), 5);
      expect(gy).toBeCloseTo((at(0, h, 0) - at(0, -h, 0)) / (2 * h), 5);
      expect(gz).toBeCloseTo((at(0, 0, h) - at(0, 0, -h)) / (2 * h), 5);
    }
  });

  it('has the range, mean and deviation its doc comment states, like simplex noise', () => {
    const peer = createNoise3D(() => 0.37);
    const stats = (
      sample: (x: number, y: number, z: number, t: number) => number,
    ): { mean: number; deviation: number; most: number } => {
      let sum = 0;
      let square = 0;
      let most = 0;
      const n = 60_000;
      for (let i = 0; i < n; i++) {
        const [x, y, z, t] = hash4(i, 8, 1, 4).map((hash) => unitFrom(hash) * 64);
        const v = sample(x, y, z, t / 64);
        sum += v;
        square += v * v;
        most = Math.max(most, Math.abs(v));
      }
      return { mean: sum / n, deviation: Math.sqrt(square / n - (sum / n) ** 2), most };
    };
    const ours = stats((x, y, z, t) => flowNoise(x, y, z, t, 4, [64, 64, 64]).value);
    const theirs = stats((x, y, z) => peer(x, y, z));
    expect(ours.most).toBeLessThanOrEqual(1);
    expect(ours.most).toBeGreaterThan(0.7);
    expect(Math.abs(ours.mean)).toBeLessThan(0.01);
    expect(ours.deviation).toBeGreaterThan(0.2);
    expect(ours.deviation).toBeLessThan(0.32);
    // simplex-noise spreads a little wider; same order of magnitude
    expect(ours.deviation / theirs.deviation).toBeGreaterThan(0.5);
    expect(ours.deviation / theirs.deviation).toBeLessThan(1.3);
  });

  it('few points see a single harmonic: fewer than 10 % hold over 99 % of their energy in one', () => {
    const samples = 64;
    let single = 0;
    const points = 300;
    for (let i = 0; i < points; i++) {
      const [x, y, z] = anywhere(i);
      const values = Array.from({ length: samples }, (_, k) => flowNoise(x, y, z, k / samples, 4, PERIOD).value);
      const mean = values.reduce((a, b) => a + b) / samples;
      const energy: number[] = [];
      for (let n = 1; n <= 8; n++) {
        let re = 0;
        let im = 0;
        values.forEach((v, k) => {
          re += (v - mean) * Math.cos((2 * Math.PI * n * k) / samples);
          im += (v - mean) * Math.sin((2 * Math.PI * n * k) / samples);
        });
        energy.push(re * re + im * im);
      }
      const total = energy.reduce((a, b) => a + b);
      if (Math.max(...energy) > 0.99 * total) single++;
    }
    expect(single / points).toBeLessThan(0.1);
  });

  // Bridson, Hourihan & Nordenstam 2007: a curl has no divergence
  it('its curl neither gathers nor spreads', () => {
    const flow = (x: number, y: number, z: number): number[] => {
      curlAt(x, y, z, 8, 8, 8, 5, 0.3, 3, new Float64Array(), 0, 0, 0, 0, 0, 0, 0);
      return [RF[0], RF[1], RF[2]];
    };
    const h = 1e-4;
    let worst = 0;
    let size = 0;
    for (let i = 0; i < 200; i++) {
      const [x, y, z] = anywhere(i);
      const divergence =
        (flow(x + h, y, z)[0] -
          flow(x - h, y, z)[0] +
          flow(x, y + h, z)[1] -
          flow(x, y - h, z)[1] +
          flow(x, y, z + h)[2] -
          flow(x, y, z - h)[2]) /
        (2 * h);
      worst = Math.max(worst, Math.abs(divergence));
      size = Math.max(size, Math.hypot(...flow(x, y, z)));
    }
    expect(size).toBeGreaterThan(0.5);
    expect(worst / size).toBeLessThan(1e-5);
  });
});
