import { describe, expect, it } from 'vitest';
import type { FrameFacts } from './codecs/codec';
import { judgeFrames } from './judge';
import { levelsFrom, lightOf } from './light';

const LAP = 24;
const numbers = Array.from({ length: LAP }, (_, i) => i);
const SIZE = [64, 36] as const;
const judged = (lap: boolean) => ({ lap, size: SIZE, rate: 24 });
/** Levels of a picture that is grey all over. */
const grey = (code: number) => lightOf((sample) => (sample % 4 === 3 ? 255 : code), ...SIZE);
/** A light that goes around four cells; each picture is its own. */
const lap = (at: (frame: number) => number = (frame) => frame): FrameFacts[] =>
  numbers.map((frame) => ({
    sum: 1 + at(frame),
    light: grey(100),
    cells: [0, 1, 2, 3].map((cell) => 100 + 80 * Math.cos(2 * Math.PI * (at(frame) / LAP - cell / 4))),
  }));
const BLACK: FrameFacts = { sum: 7, cells: [0, 0.2, 0, 0], light: grey(0) };

describe('what is said of frames', () => {
  it('of a lap that closes: how bright it is, and that it closes', () => {
    expect(judgeFrames(lap(), numbers, judged(true))).toEqual([
      'level 39 % on average, 39 % at most; 13 % of full light',
      'nothing flashes',
      'from the last to the first it changes as it does elsewhere',
    ]);
    // a part of a lap has no seam
    expect(judgeFrames(lap(), numbers, judged(false))).toHaveLength(1);
  });

  it('black frames among others, and pictures that stand', () => {
    const facts = lap();
    for (const frame of [3, 8, 9]) facts[frame] = BLACK;
    facts[15] = facts[14];
    expect(judgeFrames(facts, numbers, judged(false)).slice(1)).toEqual([
      'frames 3, 8–9 are black',
      'frame 15 is the same as the one before',
    ]);
    expect(judgeFrames([BLACK, BLACK], [0, 1], judged(true))).toEqual([
      'level 0 % on average, 0 % at most; 0 % of full light',
    ]);
    // all one picture is a still, not a fault
    expect(
      judgeFrames(
        lap(() => 0),
        numbers,
        judged(true),
      ),
    ).toHaveLength(3);
  });

  it('how it flashes, and whether that can hurt', () => {
    const flashing = (times: number): FrameFacts[] =>
      lap().map((facts, frame) => ({ ...facts, light: grey(Math.floor((frame * times) / 12) % 2 ? 230 : 20) }));
    const words = (times: number): string => judgeFrames(flashing(times), numbers, judged(true))[1];
    expect(words(2)).toBe('flashes at most 2 times a second, within what is safe (3)');
    expect(words(4)).toMatch(/^flashes 4 times a second over the picture, first at frame \d+: more than 3 can hurt/);
  });

  it('a seam that jumps', () => {
    const words = judgeFrames(
      lap((frame) => frame * 0.6),
      numbers,
      judged(true),
    ).at(-1);
    expect(words).toMatch(/^from the last to the first it changes \d+\.\d times as much as anywhere else$/);
  });

  it('levels are kept as they were taken, of large pictures by every few pixels', () => {
    const shaded = (width: number, height: number) =>
      levelsFrom(lightOf((sample) => ((Math.floor(sample / 4) % width) / width) * 255, width, height));
    const [small, large] = [shaded(320, 180), shaded(1920, 1080)];
    expect(large.cells).toHaveLength(small.cells.length);
    expect(Math.max(...large.cells.map((v, i) => Math.abs(v - small.cells[i])))).toBeLessThan(0.01);
    expect(Math.abs(large.average - 0.5)).toBeLessThan(0.01);
    // mean light of an even ramp of code values: the integral of the curve of sRGB (IEC 61966-2-1), 1.055 / 3.4 and a little
    expect(Math.abs(large.light - 0.3103)).toBeLessThan(0.005);
  });

  it('nothing where there are no pictures', () => {
    expect(judgeFrames([{ sum: 3, cells: [] }], [0], judged(true))).toEqual([]);
  });
});
