import { describe, expect, it } from 'vitest';
import { fromLinear, type Rgb } from '../colour/colour';
import { flashesIn, type FlashReport } from './flashes';
import { cellsOf, frameLevels } from './levels';

const [WIDTH, HEIGHT] = [64, 36];
const grey = (light: number): Rgb => [light, light, light];

/** A lap whose frames are one colour over a share of the picture from its left, and another beside it. */
function lap(
  frames: number,
  rate: number,
  colour: (frame: number) => Rgb,
  share = 1,
  beside: Rgb = grey(0.05),
): FlashReport {
  const [columns, rows] = cellsOf(WIDTH, HEIGHT);
  const levels = Array.from({ length: frames }, (_, frame) => {
    const rgba = new Uint8Array(WIDTH * HEIGHT * 4);
    const [own, other] = [colour(frame), beside].map((light) => light.map((v) => Math.round(255 * fromLinear(v))));
    for (let i = 0; i < WIDTH * HEIGHT; i++) rgba.set(i % WIDTH < share * WIDTH ? own : other, 4 * i);
    return frameLevels(rgba, WIDTH, HEIGHT);
  });
  return flashesIn(levels, columns, rows, rate);
}
/** On for the first half of so many periods a second. */
const blinks =
  (hertz: number, rate: number, off: Rgb, on: Rgb) =>
  (frame: number): Rgb =>
    ((frame * hertz) / rate) % 1 < 0.5 ? on : off;

// WCAG 2.2, 2.3.1; ITU-R BT.1702-3, annex 1
describe('general flashes', () => {
  const general = (hertz: number, off = 0.1, on = 0.5, share = 1): FlashReport =>
    lap(120, 60, blinks(hertz, 60, grey(off), grey(on)), share);

  it.each([
    [1, 1],
    [3, 3],
    [4, 4],
    [10, 10],
  ])('are counted by pairs of changes: %i hertz are %i a second', (hertz, perSecond) =>
    expect(general(hertz).general.perSecond).toBe(perSecond),
  );

  it('are too many above three in a second, and every frame on which they change is named', () => {
    expect(general(3).fails).toBeNull();
    const four = general(4);
    expect(four.fails).toBe('picture');
    expect(four.general.frames).toEqual(Array.from({ length: 16 }, (_, i) => Math.ceil(i * 7.5)));
    expect(four.red.frames).toEqual([]);
  });

  it('change by a tenth of the greatest luminance or more', () => {
    expect(general(10, 0.2, 0.29).general.perSecond).toBe(0);
    expect(general(10, 0.2, 0.31).general.perSecond).toBe(10);
  });

  it('have a darker state below 0.8', () => {
    expect(general(10, 0.82, 0.98).general.perSecond).toBe(0);
    expect(general(10, 0.78, 0.98).general.perSecond).toBe(10);
  });

  it('fill a quarter of the picture, or of a third of it', () => {
    expect(general(10, 0.1, 0.5, 0.3).fails).toBe('picture');
    const strip = general(10, 0.1, 0.5, 0.2);
    expect(strip.fails).toBe('third');
    expect(strip.general).toMatchObject({ perSecond: 0, perSecondInThird: 10 });
    // a 31st part of the width is a tenth of a third
    expect(general(10, 0.1, 0.5, 0.03).fails).toBeNull();
  });

  it('in two places that take turns do not fill what neither fills', () => {
    const [columns, rows] = cellsOf(WIDTH, HEIGHT);
    const levels = Array.from({ length: 60 }, (_, frame) => {
      const rgba = new Uint8Array(WIDTH * HEIGHT * 4).fill(255);
      for (let i = 0; i < WIDTH * HEIGHT; i++) {
        const on = (i % WIDTH < 4 && frame % 30 < 3) || (i % WIDTH >= 60 && (frame + 15) % 30 < 3);
        rgba.set(on ? [255, 255, 255] : [0, 0, 0], 4 * i);
      }
      return frameLevels(rgba, WIDTH, HEIGHT);
    });
    expect(flashesIn(levels, columns, rows, 60).fails).toBeNull();
  });

  it('may take some frames to come, and a rise in steps is one', () => {
    const ramp = (frame: number): Rgb => grey([0.05, 0.12, 0.3, 0.6, 0.5, 0.3, 0.2, 0.05][frame % 8]);
    expect(lap(96, 24, ramp).general.perSecond).toBe(3);
    const stairs = (frame: number): Rgb => grey(0.05 + 0.1 * Math.floor((frame % 96) / 12));
    expect(lap(96, 24, stairs).general.perSecond).toBeLessThan(2);
  });

  it('are counted across the seam, and of laps shorter than a second', () => {
    // two at the end and two at the beginning
    const ends = (frame: number): Rgb => grey([1, 5, 91, 95].includes(frame) ? 0.8 : 0);
    expect(lap(96, 24, ends).general.perSecond).toBe(4);
    expect(lap(96, 24, ends).general.frames).toEqual([1, 2, 5, 6, 91, 92, 95, 0].sort((a, b) => a - b));
    const short = (frame: number): Rgb => grey(frame === 0 ? 0.8 : 0);
    expect(lap(5, 25, short).general.perSecond).toBe(5);
  });

  it('of a pattern finer than a cell are none', () => {
    const [columns, rows] = cellsOf(WIDTH, HEIGHT);
    const levels = Array.from({ length: 60 }, (_, frame) => {
      const rgba = new Uint8Array(WIDTH * HEIGHT * 4).fill(255);
      for (let i = 0; i < WIDTH * HEIGHT; i++)
        rgba.set((i + Math.floor(i / WIDTH) + (frame >> 1)) % 2 ? [255, 255, 255] : [0, 0, 0], 4 * i);
      return frameLevels(rgba, WIDTH, HEIGHT);
    });
    expect(flashesIn(levels, columns, rows, 60).general.perSecondInThird).toBe(0);
  });
});

describe('red flashes', () => {
  const red: Rgb = [0.3, 0, 0];
  it('go to or from a saturated red, however bright', () => {
    // as bright as the red: no general flash
    const even = 0.2126 * 0.3;
    const found = lap(60, 60, blinks(5, 60, grey(even), red));
    expect(found.general.perSecond).toBe(0);
    expect(found.red.perSecond).toBe(5);
    expect(found.fails).toBe('picture');
  });
  it('are none between colours that are not, or not far apart', () => {
    expect(lap(60, 60, blinks(5, 60, [0, 0, 0.5], [0, 0.1, 0.02])).red.perSecond).toBe(0);
    // 0.76 of the sum is red, far from blue
    expect(lap(60, 60, blinks(5, 60, [0, 0, 0.5], [0.5, 0, 0.16])).red.perSecond).toBe(0);
    // a red and an orange, 0.15 apart
    expect(lap(60, 60, blinks(5, 60, [0.3, 0.12, 0], [0.5, 0, 0])).red.perSecond).toBe(0);
  });
});

describe('levels of a frame', () => {
  it('are of code values, of light, and of all but a thousandth of the pixels', () => {
    const rgba = new Uint8Array(100 * 100 * 4).fill(0);
    for (let i = 0; i < 10_000; i++)
      rgba.set(i < 8 ? [255, 255, 255, 255] : i < 5000 ? [188, 188, 188, 255] : [0, 0, 0, 255], 4 * i);
    const { average, light, peak } = frameLevels(rgba, 100, 100);
    expect(average).toBeCloseTo((8 + 4992 * (188 / 255)) / 10_000, 6);
    expect(light).toBeCloseTo((8 + 4992 * 0.5029) / 10_000, 3);
    expect(peak).toBeCloseTo(188 / 255, 6);
  });
});
