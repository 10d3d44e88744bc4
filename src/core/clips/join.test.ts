import { describe, expect, it } from 'vitest';
import { isSeen, joinsOfClip, type SmallFrames } from './join';

const TURN = 2 * Math.PI;
/** Frames of which each place shines by a function of its number and of time. */
const frames = (count: number, light: (place: number, i: number) => number): SmallFrames =>
  Array.from({ length: count }, (_, i) => Float32Array.from({ length: 60 }, (_, place) => light(place, i)));
const of = (joins: ReturnType<typeof joinsOfClip>, closes: string) => {
  const found = joins.find((join) => join.closes === closes);
  if (!found) throw new Error(`no ${closes}`);
  return found;
};

describe('how a clip closes each way', () => {
  it('one that closes by itself is left as it is, and its join is like the rest', () => {
    const joins = joinsOfClip(frames(60, (place, i) => 0.5 + 0.4 * Math.sin(TURN * (i / 60 + place / 60))));
    expect(joins[0].closes).toBe('over');
    expect(isSeen(joins[0])).toBe(false);
    expect(joins[0].step).toBeLessThan(1.2);
    expect(joins[0].bend).toBeLessThan(1.2);
  });

  it('one that rises and falls back is better to and fro than with a jump', () => {
    // a slow rise over all of it: the jump at its end is many times the usual step, and blending shows two heights at once
    const joins = joinsOfClip(frames(60, (place, i) => (i / 60) * (0.5 + place / 120)));
    const over = of(joins, 'over');
    expect(isSeen(over)).toBe(true);
    // from the last frame to the first is 59 usual steps
    expect(over.step).toBeCloseTo(59, 0);
    expect(joins[0].closes).not.toBe('over');
  });

  it('one that flickers like fire is better blended: turned back it would be seen no less', () => {
    // places that go their own ways, none of which returns
    const wander = (place: number, i: number): number =>
      0.5 +
      0.2 * Math.sin(i * (0.4 + place * 0.013) + place * 7) +
      0.2 * Math.sin(i * (0.23 + place * 0.007) + place * 3);
    const joins = joinsOfClip(frames(96, wander));
    expect(isSeen(of(joins, 'over'))).toBe(true);
    expect(joins[0].closes).toBe('blended');
    expect(isSeen(joins[0])).toBe(false);
  });

  it('one that stops before it closes has a bend that is seen, though no step is', () => {
    // moves evenly but for its last ten frames, which stand still where it began
    const joins = joinsOfClip(
      frames(60, (place, i) => 0.5 + 0.4 * Math.sin(TURN * (Math.min(i, 50) / 50 + place / 60))),
    );
    const over = of(joins, 'over');
    expect(over.step).toBeLessThan(1.2);
    expect(over.bend).toBeGreaterThan(3);
    expect(isSeen(over)).toBe(true);
  });

  it('one without motion closes any way', () => {
    for (const join of joinsOfClip(frames(30, (place) => place / 60))) expect(isSeen(join)).toBe(false);
  });

  it('has no join with one frame', () => {
    expect(() => joinsOfClip(frames(1, () => 0))).toThrow(/no join/);
  });
});
