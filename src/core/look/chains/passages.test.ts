import { describe, expect, it } from 'vitest';
import { evaluateAnimated, type Animated } from '../../time/animated';
import { actingEffects, effectsTrouble, startedEffect, startedEffects, type Effect } from '../effects/kinds';
import { PASSAGES, withPassage, type Passing } from './passages';

const acting = (effects: readonly Effect[], at: Passing, frame: number): string[] =>
  actingEffects(effects, { phase: frame / at.frames, frame, frames: at.frames }).map(({ id }) => id);
const own = (passage: (typeof PASSAGES)[number], at: Passing): Effect[] => {
  let n = 0;
  return withPassage(startedEffects(), passage, at, () => `own-${n++}`);
};

describe('passages', () => {
  // in the middle of a lap, across the seam, and as long as the lap
  const times: Passing[] = [
    { frame: 100, long: 24, frames: 300 },
    { frame: 2, long: 31, frames: 240 },
    { frame: 40, long: 500, frames: 80 },
  ];

  for (const passage of PASSAGES)
    it(`${passage.name}: is there about its moment alone, and leaves the effects there were`, () => {
      for (const at of times) {
        const effects = own(passage, at);
        expect(effectsTrouble(effects)).toBeNull();
        const before = startedEffects();
        expect(effects.filter(({ id }) => !id.startsWith('own-'))).toEqual(before);
        const added = (frame: number): string[] =>
          acting(effects, at, ((frame % at.frames) + at.frames) % at.frames).filter((id) => id.startsWith('own-'));
        expect(added(at.frame).length).toBeGreaterThan(0);
        if (at.long >= at.frames) continue;
        expect(added(at.frame - at.long)).toEqual([]);
        expect(added(at.frame + at.long + 3)).toEqual([]);
        // what a passage sets is there
        for (const [kind, more] of passage.effects(at))
          expect([kind, Object.keys(more).filter((field) => !(field in startedEffect(kind, 'x')))]).toEqual([kind, []]);
      }
    });

  it('begin and end where nothing is seen of them, and are strongest in the middle', () => {
    const at: Passing = { frame: 2, long: 30, frames: 240 };
    const value = (name: string, kind: string, field: string, frame: number): number => {
      const passage = PASSAGES.find((one) => one.name === name);
      const effect = own(passage ?? PASSAGES[0], at).find((one) => one.kind === kind && one.id.startsWith('own-'));
      return evaluateAnimated((effect as unknown as Record<string, Animated>)[field], (frame + at.frames) / at.frames);
    };
    for (const [name, kind, field, rest, most] of [
      ['Swept aside', 'blur', 'long', 0, 0.5],
      ['Swelling', 'distortion', 'barrel', 0, 1.6],
      ['Through black', 'grade', 'gain', 1, 0],
    ] as const) {
      expect(value(name, kind, field, 2 - 15)).toBeCloseTo(rest, 6);
      expect(value(name, kind, field, 2)).toBeCloseTo(most, 6);
      expect(value(name, kind, field, 2 + 15)).toBeCloseTo(rest, 6);
      expect(value(name, kind, field, 120)).toBeCloseTo(rest, 6);
    }
    // half of the way in the middle, and all of it at the end: two widths away the picture is itself again
    expect(value('Swept aside', 'move', 'aside', 2)).toBeCloseTo(1, 6);
    expect(value('Swept aside', 'move', 'aside', 2 + 15)).toBeCloseTo(2, 6);
    expect(value('Rolled over', 'move', 'turn', 2 + 15)).toBeCloseTo(1, 6);
  });
});
