import { describe, expect, it } from 'vitest';
import { legalSpeeds, mostBlend, periodOf, placeAt, shownAt, type Play } from './closing';

const all = (play: Play, frames: number) =>
  Array.from({ length: periodOf(play, frames) }, (_, place) => shownAt(play, frames, place));
const over = { closes: 'over', blend: 0 } as const;
const fro = { closes: 'fro', blend: 0 } as const;
const blended = (blend: number): Play => ({ closes: 'blended', blend });

describe('how a clip closes', () => {
  it('over and over it shows every frame once', () => {
    expect(all(over, 5).map(({ first }) => first)).toEqual([0, 1, 2, 3, 4]);
    expect(shownAt(over, 5, -1).first).toBe(4);
    expect(shownAt(over, 5, 12).first).toBe(2);
  });

  it('to and fro it shows its ends once and all else twice', () => {
    expect(all(fro, 5).map(({ first }) => first)).toEqual([0, 1, 2, 3, 4, 3, 2, 1]);
    expect(all(fro, 1).map(({ first }) => first)).toEqual([0]);
  });

  it('blended, its end gives way to its start evenly, and goes on as it began', () => {
    const shown = all(blended(3), 10);
    expect(shown).toHaveLength(7);
    expect(shown.slice(0, 3)).toEqual([
      { first: 7, second: 0, share: 0.25 },
      { first: 8, second: 1, share: 0.5 },
      { first: 9, second: 2, share: 0.75 },
    ]);
    // before the join comes the frame before the first that is blended, after it the one after the last
    expect(shown[6]).toEqual({ first: 6, second: 6, share: 0 });
    expect(shown[3]).toEqual({ first: 3, second: 3, share: 0 });
  });

  it('blends no more than leaves every frame its turn', () => {
    expect(mostBlend(9)).toBe(4);
    expect(periodOf(blended(900), 9)).toBe(5);
  });
});

describe('where a clip is', () => {
  it.each([1, 2, 3, 7, 31])('closes with a lap after %i times, to the frame', (times) => {
    for (const [period, lap] of [
      [100, 360],
      [72, 250],
      [198, 97],
    ])
      for (let frame = 0; frame < lap; frame += 7) {
        const at = (f: number): number => placeAt(period, times, f, lap, 5) % period;
        expect(at(frame + lap)).toBe(at(frame));
        expect(at(frame - lap)).toBe(at(frame));
      }
  });

  it('goes through all of it as often as it says', () => {
    const places = Array.from({ length: 200 }, (_, frame) => placeAt(50, 3, frame, 200, 0) % 50);
    expect(new Set(places).size).toBe(50);
    const begins = places.filter((place, i) => place < places[(i + 199) % 200]).length;
    expect(begins).toBe(3);
  });
});

describe('legal speeds', () => {
  it('are whole times a lap, the one nearest to its own first', () => {
    const [first, second, third] = legalSpeeds(4, 10, 3);
    // 2.5 times by itself: three times is 1.2 of that, two are 0.8
    expect(first).toEqual({ times: 3, speed: 1.2 });
    expect(second).toEqual({ times: 2, speed: 0.8 });
    expect(third.times).toBe(4);
  });

  it('a clip that is longer than the lap is played once, faster', () => {
    expect(legalSpeeds(30, 10)[0]).toEqual({ times: 1, speed: 3 });
  });
});
