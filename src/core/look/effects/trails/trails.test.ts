import { describe, expect, it } from 'vitest';
import { drawnMoments, startedEffect } from '../kinds';
import { trailLevel, trailOf, type Trails } from './trails';

const FRAMES = 100;
const trail = (more: Partial<Trails>): Trails => ({ ...(startedEffect('trails', 't') as Trails), ...more });
const moment = { phase: 0.05, frame: 5, frames: FRAMES };

describe('trails', () => {
  it('are of as many earlier moments as are said, evenly apart, the earliest as far back as is said', () => {
    const { pictures } = trailOf(trail({ copies: 4, lasts: 20 }), moment);
    expect(pictures.map(({ laps }) => laps * FRAMES)).toEqual([5, 10, 15, 20]);
  });

  it('fade evenly to nothing, not at all, or sooner; and to the colour that is said', () => {
    const gains = (more: Partial<Trails>): number[] =>
      trailOf(trail({ copies: 4, ...more }), moment).pictures.map(({ gain }) => gain[0]);
    expect(gains({ fades: 0 })).toEqual([1, 1, 1, 1]);
    gains({ fades: 1 }).forEach((gain, i) => expect(gain).toBeCloseTo(0.8 - 0.2 * i, 12));
    gains({ fades: 2 }).forEach((gain, i) => expect(gain).toBeCloseTo((0.8 - 0.2 * i) ** 2, 12));
    const red = trailOf(trail({ copies: 4, fades: 0, tint: '#ff0000' }), moment).pictures;
    expect(red.map(({ gain }) => gain[0])).toEqual([1, 1, 1, 1]);
    expect(red.map(({ gain }) => gain[2])).toEqual([0.75, 0.5, 0.25, 0]);
  });

  it('mixed are as bright as one of them: what stands still stays as it is', () => {
    for (const fades of [0, 1, 3.5]) {
      const mixed = trail({ joins: 'mixed', copies: 9, fades });
      const sum = trailOf(mixed, moment).pictures.reduce((all, { gain }) => all + gain[1], 1);
      expect(sum * trailLevel(mixed)).toBeCloseTo(1, 12);
    }
    expect(trailLevel(trail({ joins: 'added' }))).toBe(1);
  });

  it('without gaps the shutter of each is open up to the next', () => {
    const { open } = trailOf(trail({ copies: 5, lasts: 30, drawnOut: true }), moment);
    expect(open).toBeCloseTo(6 / FRAMES, 12);
    expect(trailOf(trail({ lasts: 0, drawnOut: true }), moment).open).toBeNull();
  });

  it('before the seam go on before it, and are of the pictures that are shown where those change in steps', () => {
    const list = [trail({ copies: 2, lasts: 20 })];
    const phases = (effects: Parameters<typeof drawnMoments>[0]): number[] =>
      drawnMoments(effects, moment).map(({ phase }) => Math.round(phase * 1e6) / 1e6);
    expect(phases(list)).toEqual([0.05, -0.05, -0.15]);
    const steps = { ...startedEffect('stepped', 's'), steps: 5 } as ReturnType<typeof startedEffect>;
    expect(phases([...list, steps])).toEqual([0, -0.2, -0.2]);
    expect(phases([trail({ copies: 2, off: true })])).toEqual([0.05]);
    expect(phases([trail({ copies: 2, amount: 0 })])).toEqual([0.05]);
  });
});
