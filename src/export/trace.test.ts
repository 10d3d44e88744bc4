import { describe, expect, it } from 'vitest';
import { colourSum, lumaCells, offBy, rgbaCells, shows, traceOf } from './trace';
import { i420Bytes, toI420Into } from './codecs/video/yuv';

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
describe('sums of colours', () => {
  it('are Adler-32', () => {
    expect(colourSum(new TextEncoder().encode('Wikipedia'), 3)).toBe(0x11e60398);
  });

  it('leave alpha out, and notice one bit of one pixel', () => {
    const rgba = scene(3);
    const rgb = Uint8Array.from({ length: W * H * 3 }, (_, i) => rgba[Math.floor(i / 3) * 4 + (i % 3)]);
    expect(colourSum(rgba, 4)).toBe(colourSum(rgb, 3));
    rgba[1001] ^= 1;
    expect(colourSum(rgba, 4)).not.toBe(colourSum(rgb, 3));
  });
});
