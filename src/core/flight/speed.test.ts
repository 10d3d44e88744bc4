import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Animated } from '../time/animated';
import { evaluateAnimated } from '../time/animated';
import { distanceShare } from './speed';

const keys = (...list: [number, number][]): Animated => ({
  law: 'keyed',
  keys: list.map(([at, value], i) => ({ id: `k${i}`, at, value, ease: 'smooth' })),
});

describe('speed over the lap', () => {
  const speed = keys([0.05, 1], [0.3, 4], [0.6, 0.5], [0.8, 1.5]);
  const share = distanceShare(speed);

  it('its integral is the lap, exactly', () => {
    expect(share(0)).toBe(0);
    expect(share(1)).toBe(1);
    for (const phase of [0.1, 0.55]) expect(share(phase + 3)).toBeCloseTo(share(phase) + 3, 12);
  });

  it('the way grows at the given speed, against the mean', () => {
    const h = 1e-4;
    const mean =
      Array.from({ length: 4000 }, (_, i) => evaluateAnimated(speed, i / 4000)).reduce((a, b) => a + b) / 4000;
    for (const phase of [0.02, 0.3, 0.47, 0.999])
      expect((share(phase + h) - share(phase - h)) / (2 * h)).toBeCloseTo(evaluateAnimated(speed, phase) / mean, 3);
  });

  it('never runs backwards, stands where the speed is none, and survives nothing but zeros', () => {
    const stop = distanceShare({
      law: 'keyed',
      keys: [
        { id: 'a', at: 0, value: 1, ease: 'linear' },
        { id: 'b', at: 0.4, value: 0, ease: 'hold' },
        { id: 'c', at: 0.6, value: 0, ease: 'linear' },
      ],
    });
    expect(stop(0.58)).toBeCloseTo(stop(0.42), 9);
    expect(distanceShare(0)(0.3)).toBe(0.3);
    expect(distanceShare(keys([0, 0], [0.5, 0]))(0.3)).toBe(0.3);
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 5, noNaN: true }), { minLength: 2, maxLength: 6 }), (values) => {
        const some = distanceShare(keys(...values.map((v, i): [number, number] => [i / values.length, v])));
        for (let i = 0; i < 200; i++) expect(some((i + 1) / 200) - some(i / 200)).toBeGreaterThan(-1e-9);
      }),
      { numRuns: 40 },
    );
  });
});
