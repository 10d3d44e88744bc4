import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { closes, evaluateAnimated, snapAnimated, type Animated, type Ease, type Key } from './animated';

const ease: fc.Arbitrary<Ease> = fc.oneof(
  fc.constantFrom<Ease>('linear', 'hold', 'smooth'),
  fc.constant<Ease>([0.3, 0, 0.3, 1]),
);
const keys = fc.uniqueArray(fc.integer({ min: 0, max: 99 }), { minLength: 1, maxLength: 8 }).chain((at) =>
  fc.tuple(
    ...at.map((a, i) =>
      fc.record({
        id: fc.constant(`k${i}`),
        at: fc.constant(a / 100),
        value: fc.double({ min: -50, max: 50, noNaN: true }),
        ease,
      }),
    ),
  ),
);

const slopeAt = (value: Animated, phase: number, side: number): number => {
  const h = 1e-6 * side;
  return (evaluateAnimated(value, phase + h) - evaluateAnimated(value, phase)) / h;
};

describe('animated values', () => {
  it('keyed values repeat every lap, whatever their keys', () => {
    fc.assert(
      fc.property(keys, fc.double({ min: 0, max: 1, noNaN: true }), (list, phase) => {
        const value: Animated = { law: 'keyed', keys: list as Key[] };
        // 1 + phase loses bits that phase alone had: compare at a phase that survives it
        const p = Math.round(phase * 4096) / 4096 + 1 / 8192;
        expect(evaluateAnimated(value, p + 1)).toBeCloseTo(evaluateAnimated(value, p), 9);
        expect(Number.isFinite(evaluateAnimated(value, p))).toBe(true);
      }),
    );
  });

  it('smooth keys meet in value, slope and curvature across the seam', () => {
    const value: Animated = {
      law: 'keyed',
      keys: [
        { id: 'a', at: 0, value: 1, ease: 'smooth' },
        { id: 'b', at: 0.2, value: 5, ease: 'smooth' },
        { id: 'c', at: 0.7, value: -2, ease: 'smooth' },
      ],
    };
    for (const phase of [0, 0.2, 0.7]) expect(slopeAt(value, phase, 1)).toBeCloseTo(slopeAt(value, phase, -1), 2);
    const second = (p: number, side: number): number => {
      const h = 1e-4 * side;
      const at = (k: number): number => evaluateAnimated(value, p + k * h);
      return (at(2) - 2 * at(1) + at(0)) / (h * h);
    };
    for (const phase of [0, 0.2, 0.7]) {
      const [a, b] = [second(phase, 1), second(phase, -1)];
      expect(Math.abs(a - b)).toBeLessThan(0.01 * Math.max(Math.abs(a), 1) + 0.5);
    }
  });

  it('passes through every key', () => {
    fc.assert(
      fc.property(keys, (list) => {
        const value: Animated = { law: 'keyed', keys: list as Key[] };
        for (const key of list) expect(evaluateAnimated(value, key.at)).toBeCloseTo(key.value, 9);
      }),
    );
  });

  it('holds until the next key', () => {
    const value: Animated = {
      law: 'keyed',
      keys: [
        { id: 'a', at: 0.1, value: 1, ease: 'hold' },
        { id: 'b', at: 0.5, value: 2, ease: 'hold' },
      ],
    };
    expect([0.05, 0.1, 0.499, 0.5, 0.99].map((p) => evaluateAnimated(value, p))).toEqual([2, 1, 1, 2, 2]);
  });

  it.each(['sine', 'triangle', 'noise'] as const)('a %s swing of whole cycles returns with its slope', (wave) => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.double({ min: -1, max: 1, noNaN: true }), (cycles, shift) => {
        const value: Animated = { law: 'swing', middle: 2, reach: 3, cycles, wave, shift };
        expect(evaluateAnimated(value, 1.3)).toBeCloseTo(evaluateAnimated(value, 0.3), 7);
        expect(Math.abs(evaluateAnimated(value, 0.37) - 2)).toBeLessThanOrEqual(4.2);
        expect(closes(value)).toBe(true);
      }),
    );
  });

  it('a wound value goes on, and closes only in steps', () => {
    const turned: Animated = { law: 'wound', start: 0.1, perLap: 0.4 };
    expect(evaluateAnimated(turned, 2.5)).toBeCloseTo(1.1, 12);
    expect(closes(turned, 0.2)).toBe(true);
    expect(closes(turned, 0.3)).toBe(false);
    expect(closes(turned)).toBe(false);
  });

  it('snapping always gives something that closes', () => {
    fc.assert(
      fc.property(fc.double({ min: -5, max: 5, noNaN: true }), fc.constantFrom(0, 0.2, 1, 1 / 7), (perLap, step) => {
        expect(closes(snapAnimated({ law: 'wound', start: 0, perLap }, step), step)).toBe(true);
      }),
    );
    expect(snapAnimated({ law: 'swing', middle: 0, reach: 1, cycles: 2.4, wave: 'sine', shift: 0 })).toMatchObject({
      cycles: 2,
    });
  });
});
