import { describe, expect, it } from 'vitest';
import { sumOf, lumaCells, offBy, rgbaCells, shows, traceOf, traceOfNumbers } from './trace';
import { i420Bytes, toI420Into } from './codecs/film/yuv';

/** A picture whose every pixel is a function of its place. */
const picture = (width: number, height: number, at: (x: number, y: number) => [number, number, number]): Uint8Array => {
  const rgba = new Uint8Array(width * height * 4);
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) rgba.set([...at(x, y), 255], (y * width + x) * 4);
  return rgba;
};
const [W, H] = [160, 90];
const scene = (shift: number) =>
  picture(W, H, (x, y) => [((x + shift) * 3) % 256, Math.min(255, y * 2), (x + y + shift) % 200]);

describe('traces of frames', () => {
  it('know the picture from its luma as it is encoded', () => {
    const rgba = scene(0);
    const i420 = new Uint8Array(i420Bytes(W, H));
    toI420Into(i420, rgba, W, H);
    const decoded = lumaCells(i420, W, W, H);
    expect(offBy(decoded, traceOf(rgba, W, H)).most).toBeLessThan(0.6);
    expect(shows(decoded, traceOf(rgba, W, H))).toBe(true);
  });

  it('tell another frame, a black one, and half a frame', () => {
    const trace = traceOf(scene(0), W, H);
    expect(shows(rgbaCells(scene(40), W, H), trace)).toBe(false);
    expect(
      shows(
        rgbaCells(
          picture(W, H, () => [0, 0, 0]),
          W,
          H,
        ),
        trace,
      ),
    ).toBe(false);
    const torn = scene(0);
    torn.fill(0, (W * H * 4) / 2);
    expect(shows(rgbaCells(torn, W, H), trace)).toBe(false);
  });

  it('tell black from a dark stage with one lamp', () => {
    const dark = picture(W, H, (x, y) => (Math.hypot(x - 40, y - 40) < 6 ? [255, 220, 160] : [6, 8, 10]));
    expect(
      shows(
        rgbaCells(
          picture(W, H, () => [0, 0, 0]),
          W,
          H,
        ),
        traceOf(dark, W, H),
      ),
    ).toBe(false);
  });
});

// RFC 1950 §8.2; the value for “Wikipedia” is printed in its article on Adler-32, from memory
describe('sums', () => {
  it('are Adler-32', () => {
    expect(sumOf(new TextEncoder().encode('Wikipedia'))).toBe(0x11e60398);
  });

  it('notice one bit of one pixel', () => {
    const rgba = scene(3);
    const before = sumOf(rgba);
    rgba[1001] ^= 1;
    expect(sumOf(rgba)).not.toBe(before);
  });
});

describe('traces of numbers', () => {
  it('are those of the bytes they are rounded to', () => {
    const rgba = scene(5);
    const numbers = Float32Array.from(rgba, (v) => v / 255);
    const [fine, coarse] = [traceOfNumbers(numbers, W, H, 7), traceOf(rgba, W, H)];
    expect(fine.sum).toBe(7);
    fine.cells.forEach((cell, i) => expect(cell).toBeCloseTo(coarse.cells[i], 1));
  });
});
