import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { flashAt } from './flash/flash';
import { burstAt } from './fields';
import { actingEffects, EFFECTS, effectOf, newEffect, reachOf, type Effect } from './kinds';
import { levelAt, maskAt, type Reaching } from './reach';

const grade = (more: object = {}): Reaching => {
  const reach = reachOf({ ...newEffect('grade', 'g'), ...more } as Effect);
  if (!reach) throw new Error('it has none');
  return reach;
};
const at = (frame: number): { phase: number; frame: number; frames: number } => ({
  phase: frame / 100,
  frame,
  frames: 100,
});
const BLACK = [0, 0, 0] as const;

describe('how much of an effect there is, when and where', () => {
  it('every kind that can be left out has a reach, but what steps through time; and only those', () => {
    for (const kind of EFFECTS.names)
      expect(reachOf(newEffect(kind, kind)) === null).toBe(effectOf(kind).always === true || kind === 'stepped');
  });

  it('follows its amount, and its stretch of whole frames with its fades', () => {
    const swings = { law: 'swing', middle: 0.5, reach: 0.5, cycles: 1, wave: 'sine', shift: 0 };
    expect(levelAt(grade({ amount: swings }), at(25))).toBeCloseTo(1, 9);
    expect(levelAt(grade({ amount: swings }), at(75))).toBeCloseTo(0, 9);
    const stretch = grade({ acts: 'stretch', from: 90, to: 10, fadeIn: 4, fadeOut: 4 });
    expect([80, 89, 10, 50].map((frame) => levelAt(stretch, at(frame)))).toEqual([0, 0, 0, 0]);
    expect([95, 99, 0, 5].map((frame) => levelAt(stretch, at(frame)))).toEqual([1, 1, 1, 1]);
    expect(levelAt(stretch, at(91))).toBeGreaterThan(levelAt(stretch, at(90)));
  });

  it('an effect of which there is nothing is left out of the chain, and of no other frame', () => {
    const list = [
      newEffect('tone', 't'),
      { ...newEffect('flash', 'f'), acts: 'stretch', from: 10, to: 20, fadeIn: 0, fadeOut: 0 },
      { ...newEffect('grain', 'n'), amount: 0 },
    ] as Effect[];
    expect(actingEffects(list, at(5)).map(({ id }) => id)).toEqual(['t']);
    expect(actingEffects(list, at(10)).map(({ id }) => id)).toEqual(['f', 't']);
  });

  it('an ellipse: all in the middle, none beyond the rim, and the other way round', () => {
    const mask = { mask: 'ellipse', maskAside: 0.1, maskAbove: -0.2, maskWide: 0.4, maskHigh: 0.2, maskSoft: 0.5 };
    expect(maskAt(grade(mask), 0, [0.6, 0.3], BLACK)).toBe(1);
    for (const place of [
      [0.81, 0.3],
      [0.6, 0.41],
      [0.1, 0.9],
    ] as const)
      expect(maskAt(grade(mask), 0, place, BLACK)).toBe(0);
    // halfway of the soft part
    expect(maskAt(grade(mask), 0, [0.6 + 0.2 * 0.75, 0.3], BLACK)).toBeCloseTo(0.5, 9);
    expect(maskAt(grade({ ...mask, maskTurned: true }), 0, [0.6, 0.3], BLACK)).toBe(0);
  });

  it('by brightness: by luminance, between two marks', () => {
    const mask = grade({ mask: 'light', maskNone: 0.2, maskAll: 0.6 });
    expect(maskAt(mask, 0, [0, 0], [0.2, 0.2, 0.2])).toBeCloseTo(0, 9);
    expect(maskAt(mask, 0, [0, 0], [0.4, 0.4, 0.4])).toBeCloseTo(0.5, 9);
    expect(maskAt(mask, 0, [0, 0], [0, 0.7, 0])).toBeGreaterThan(maskAt(mask, 0, [0, 0], [0.7, 0, 0]));
    expect(maskAt(mask, 0, [0, 0], [2, 2, 2])).toBe(1);
  });

  it('bursts last as long as they say, each in its share of the lap, and are the same a lap later', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 1, max: 8 }),
        fc.nat(1000),
        (bursts, lasts, seed) => {
          const on = Array.from({ length: 240 }, (_, frame) =>
            burstAt({ bursts, lasts, seed }, { frame, frames: 240 }),
          );
          const frames = on.filter((state) => state > 0).length;
          expect(frames).toBeLessThanOrEqual(bursts * lasts);
          expect(frames).toBeGreaterThanOrEqual(lasts);
          // every state is its own
          const states = new Set(on.filter((state) => state > 0));
          expect(states.size).toBeGreaterThanOrEqual(Math.ceil(lasts / 2));
          expect(burstAt({ bursts, lasts, seed }, { frame: 7 + 240, frames: 240 })).toBe(on[7]);
        },
      ),
    ));

  it('a flash is whole on each beat, gone before the next, and the same a lap later', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 64 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        fc.double({ min: -2, max: 2, noNaN: true }),
        (beats, shift, fades, phase) => {
          const effect = { beats, shift, fades };
          expect(flashAt(effect, (3 + shift) / beats)).toBeCloseTo(1, 6);
          expect(flashAt(effect, (3.9999999 + shift) / beats)).toBeLessThan(1e-4);
          const [here, later] = [flashAt(effect, phase), flashAt(effect, phase + 1)];
          // but for what rounding puts on the other side of a beat
          expect(Math.min(Math.abs(here - later), 1 - Math.abs(here - later))).toBeLessThan(1e-6);
        },
      ),
    ));
});
