import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dustTurn } from '../dust/dust';
import { drawnPhase, startedEffect, type Effect } from '../kinds';
import { steppedFrame } from './stepped';

const lap = fc.integer({ min: 2, max: 700 });

describe('a picture that changes in steps', () => {
  it('shows so many pictures a lap, each the first of its own step, as evenly as whole frames can', () =>
    fc.assert(
      fc.property(lap, fc.integer({ min: 1, max: 900 }), (frames, steps) => {
        const shown = Array.from({ length: frames }, (_, frame) => steppedFrame({ steps }, frame, frames));
        const begins = [...new Set(shown)];
        expect(begins).toHaveLength(Math.min(steps, frames));
        expect(begins[0]).toBe(0);
        // what is shown is shown from there on
        for (const frame of begins) expect(shown[frame]).toBe(frame);
        expect(shown.every((frame, i) => frame <= i && (i === 0 || frame >= shown[i - 1]))).toBe(true);
        const lengths = begins.map((frame, i) => (begins[i + 1] ?? frames) - frame);
        expect(Math.max(...lengths) - Math.min(...lengths)).toBeLessThanOrEqual(1);
      }),
    ));

  it('goes on in the next lap as in this one', () =>
    fc.assert(
      fc.property(lap, fc.integer({ min: 1, max: 900 }), fc.nat(699), (frames, steps, at) => {
        const frame = at % frames;
        expect(steppedFrame({ steps }, frame + frames, frames)).toBe(steppedFrame({ steps }, frame, frames) + frames);
      }),
    ));

  it('is that of its own effect, while that is on', () => {
    const effect = { ...startedEffect('stepped', 's'), steps: 10 } as Effect;
    const others = [startedEffect('flash', 'f'), effect];
    expect(drawnPhase(others, 17 / 40, 40)).toBeCloseTo(16 / 40, 12);
    expect(drawnPhase([{ ...effect, off: true }], 17 / 40, 40)).toBe(17 / 40);
  });
});

it('dust changes after whole frames, as often as fits, and closes', () =>
  fc.assert(
    fc.property(lap, fc.integer({ min: 1, max: 60 }), (frames, stays) => {
      const turns = Array.from({ length: frames }, (_, frame) => dustTurn({ stays }, frame, frames));
      const each = [...new Set(turns)].map((turn) => turns.filter((other) => other === turn).length);
      expect(each).toHaveLength(Math.max(1, Math.floor(frames / stays)));
      expect(Math.min(...each)).toBeGreaterThanOrEqual(Math.min(stays, frames));
    }),
  ));
