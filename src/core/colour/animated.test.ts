import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { closesMixed, mixtureAt, snapMixed, type Mixed } from '../time/mixed';
import type { Ease } from '../time/animated';
import {
  besideColour,
  colourAt,
  gradientOf,
  gradientTableAt,
  hexAt,
  isEven,
  isGrey,
  type AnimatedColour,
  type AnimatedGradient,
} from './animated';
import { gradientAt, hexToLinear, linearToOklab, type Gradient, type Rgb } from './colour';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
const ease = fc.constantFrom<Ease>('linear', 'hold', 'smooth', [0.3, 0, 0.3, 1]);
const phase = fc.integer({ min: 0, max: 4095 }).map((n) => (n + 0.5) / 4096);
const gradient: fc.Arbitrary<Gradient> = fc
  .uniqueArray(fc.integer({ min: 0, max: 20 }), { minLength: 1, maxLength: 4 })
  .chain((places) => fc.tuple(...places.map((at) => hex.map((colour) => ({ at: at / 20, colour })))));

const mixedOf = <V>(own: fc.Arbitrary<V>): fc.Arbitrary<Mixed<V>> =>
  fc.oneof(
    own,
    fc
      .uniqueArray(fc.integer({ min: 0, max: 99 }), { minLength: 1, maxLength: 5 })
      .chain((at) =>
        fc
          .tuple(
            ...at.map((a, i) => fc.record({ value: own, ease }).map((key) => ({ id: `k${i}`, at: a / 100, ...key }))),
          )
          .map((keys): Mixed<V> => ({ law: 'keyed', keys })),
      ),
    fc.record({
      law: fc.constant('swing' as const),
      from: own,
      to: own,
      cycles: fc.integer({ min: 1, max: 6 }),
      wave: fc.constantFrom('sine' as const, 'triangle' as const, 'noise' as const),
      shift: fc.constantFrom(0, 0.25, -0.4),
    }),
    fc.record({ law: fc.constant('wound' as const), start: own, perLap: fc.integer({ min: -3, max: 3 }) }),
  );

const near = (a: ArrayLike<number>, b: ArrayLike<number>, within: number): void => {
  for (let i = 0; i < a.length; i++) expect(Math.abs(a[i] - b[i])).toBeLessThan(within);
};

describe('colours over the lap', () => {
  it('of whole cycles and turns are after a lap what they were, and never negative', () => {
    fc.assert(
      fc.property(mixedOf(hex), phase, (value, at) => {
        expect(closesMixed(value)).toBe(true);
        const now = colourAt(value, at);
        near(colourAt(value, at + 1), now, 1e-6);
        expect(now.every((v) => v >= 0 && Number.isFinite(v))).toBe(true);
      }),
    );
  });

  it('are mixed in Oklab: half-way between two each of its coordinates is', () => {
    const [from, to] = ['#0c4a5c', '#ffd9a0'];
    const value: AnimatedColour = {
      law: 'keyed',
      keys: [
        { id: 'a', at: 0, value: from, ease: 'linear' },
        { id: 'b', at: 0.5, value: to, ease: 'hold' },
      ],
    };
    const lab = (rgb: Rgb): Rgb => linearToOklab(rgb);
    const [a, b] = [lab(hexToLinear(from)), lab(hexToLinear(to))];
    near(
      lab(colourAt(value, 0.25)),
      [0, 1, 2].map((k) => (a[k] + b[k]) / 2),
      1e-4,
    );
    near(colourAt(value, 0), hexToLinear(from), 1e-5);
    near(colourAt(value, 0.75), hexToLinear(to), 1e-5);
    // a gradient from one to the other has the same between
    const way: Gradient = [
      { at: 0, colour: from },
      { at: 1, colour: to },
    ];
    near(colourAt(value, 0.2), gradientAt(way, 0.4), 1e-5);
  });

  it('keep their lightness and chroma while their hues go round', () => {
    const value: AnimatedColour = { law: 'wound', start: '#7a6a5a', perLap: 1 };
    const [L, a, b] = linearToOklab(colourAt(value, 0));
    for (const at of [0.1, 0.37, 0.8]) {
      const [l, x, y] = linearToOklab(colourAt(value, at));
      expect(l).toBeCloseTo(L, 4);
      expect(Math.hypot(x, y)).toBeCloseTo(Math.hypot(a, b), 4);
    }
    const turn = linearToOklab(colourAt(value, 0.25));
    near(turn, [L, -b, a], 1e-4);
  });

  it('are mixed of shares that sum to 1, whatever leads from key to key', () => {
    fc.assert(
      fc.property(mixedOf(hex), phase, (value, at) => {
        const sum = mixtureAt(value, at).of.reduce((s, [, share]) => s + share, 0);
        expect(sum).toBeCloseTo(1, 9);
      }),
    );
  });

  it('jump for all moments of an exposure or for none', () => {
    const keys = [
      { id: 'a', at: 0, value: '#000000', ease: 'hold' as const },
      { id: 'b', at: 0.5, value: '#ffffff', ease: 'hold' as const },
    ];
    const seen = (at: number): string =>
      hexAt({ law: 'keyed', keys, exposure: { frame: 0.5, reach: 0.02, frames: 25 } }, at);
    expect([0.49, 0.5, 0.51].map(seen)).toEqual(['#ffffff', '#ffffff', '#ffffff']);
    expect(hexAt({ law: 'keyed', keys }, 0.49)).toBe('#000000');
  });

  it('have another beside them that is plainly another, whatever they are', () => {
    fc.assert(
      fc.property(hex, (of) => {
        const [a, b] = [of, besideColour(of)].map((one) => linearToOklab(hexToLinear(one)));
        // a difference that is just seen is 0.02 (common practice, no source)
        expect(Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])).toBeGreaterThan(0.045);
      }),
      { numRuns: 2000, seed: 5 },
    );
    expect(isGrey('#ffffff') && isGrey('#0a0a0b') && !isGrey('#405060')).toBe(true);
  });

  it('that do not close say so, and are closed by the nearest that does', () => {
    const swing: AnimatedColour = {
      law: 'swing',
      from: '#102030',
      to: '#ffffff',
      cycles: 2.4,
      wave: 'sine',
      shift: 0,
    };
    expect(closesMixed(swing)).toBe(false);
    expect(snapMixed(swing)).toEqual({ ...swing, cycles: 2 });
    expect(snapMixed({ law: 'wound', start: '#102030', perLap: 0.4 })).toMatchObject({ perLap: 0 });
  });
});

describe('gradients over the lap', () => {
  it('are at every place what colours at that place would be', () => {
    fc.assert(
      fc.property(mixedOf(gradient), phase, (value, at) => {
        const table = gradientTableAt(value, at, 16);
        near(gradientTableAt(value, at + 1, 16), table, 1e-5);
        const { of, turn } = mixtureAt(value, at);
        if (turn !== 0) return;
        const place = 5.5 / 16;
        const lab = [0, 1, 2].map((k) =>
          of.reduce((s, [one, share]) => s + share * linearToOklab(gradientAt(one, place))[k], 0),
        );
        const there = linearToOklab([table[20], table[21], table[22]]);
        // what is out of gamut is clipped: compared where it is not
        if ([20, 21, 22].every((i) => table[i] > 1e-4)) near(there, lab, 2e-4);
      }),
    );
  });

  it('have as many stops as they need when they are held still', () => {
    const [a, b]: Gradient[] = [
      [
        { at: 0, colour: '#101820' },
        { at: 1, colour: '#405060' },
      ],
      [
        { at: 0, colour: '#203040' },
        { at: 0.4, colour: '#c0a080' },
        { at: 1, colour: '#e0e0d0' },
      ],
    ];
    const value: AnimatedGradient = { law: 'swing', from: a, to: b, cycles: 1, wave: 'sine', shift: 0 };
    const still = gradientOf(value, 0.1);
    expect(still.map(({ at }) => at)).toEqual([0, 0.4, 1]);
    // whole code values are what is lost
    near(gradientTableAt(still, 0), gradientTableAt(value, 0.1), 0.01);
    expect(gradientOf(value, 0.25)).toBe(b);
  });

  it('of one colour each are even, though they change', () => {
    const one = (colour: string): Gradient => [{ at: 0, colour }];
    expect(isEven({ law: 'swing', from: one('#102030'), to: one('#ffffff'), cycles: 1, wave: 'sine', shift: 0 })).toBe(
      true,
    );
    expect(isEven([...one('#102030'), { at: 1, colour: '#102031' }])).toBe(false);
  });
});
