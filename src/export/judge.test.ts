import { describe, expect, it } from 'vitest';
import type { FrameFacts } from './codecs/codec';
import { judgeFrames } from './judge';

const LAP = 24;
const numbers = Array.from({ length: LAP }, (_, i) => i);
/** A light that goes around four cells; each picture is its own. */
const lap = (at: (frame: number) => number = (frame) => frame): FrameFacts[] =>
  numbers.map((frame) => ({
    sum: 1 + at(frame),
    cells: [0, 1, 2, 3].map((cell) => 100 + 80 * Math.cos(2 * Math.PI * (at(frame) / LAP - cell / 4))),
  }));
const BLACK: FrameFacts = { sum: 7, cells: [0, 0.2, 0, 0] };

describe('what is said of frames', () => {
  it('of a lap that closes: how bright it is, and that it closes', () => {
    expect(judgeFrames(lap(), numbers, true)).toEqual([
      'level 39 % on average, 71 % at most',
      'from the last to the first it changes as it does elsewhere',
    ]);
    // a part of a lap has no seam
    expect(judgeFrames(lap(), numbers, false)).toHaveLength(1);
  });

  it('black frames among others, and pictures that stand', () => {
    const facts = lap();
    for (const frame of [3, 8, 9]) facts[frame] = BLACK;
    facts[15] = facts[14];
    expect(judgeFrames(facts, numbers, false).slice(1)).toEqual([
      'frames 3, 8–9 are black',
      'frame 15 is the same as the one before',
    ]);
    expect(judgeFrames([BLACK, BLACK], [0, 1], true)).toEqual(['level 0 % on average, 0 % at most']);
    // all one picture is a still, not a fault
    expect(
      judgeFrames(
        lap(() => 0),
        numbers,
        true,
      ),
    ).toHaveLength(2);
  });

  it('a seam that jumps', () => {
    const words = judgeFrames(
      lap((frame) => frame * 0.6),
      numbers,
      true,
    ).at(-1);
    expect(words).toMatch(/^from the last to the first it changes \d+\.\d times as much as anywhere else$/);
  });

  it('nothing where there are no pictures', () => {
    expect(judgeFrames([{ sum: 3, cells: [] }], [0], true)).toEqual([]);
  });
});
