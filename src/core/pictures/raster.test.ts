import { describe, expect, it } from 'vitest';
import { toLinear } from '../colour/colour';
import { halved, levelCount, levelsOf, premultiplied, reduced, sizeAt, type Raster } from './raster';

const raster = (width: number, height: number, at: (x: number, y: number) => readonly number[]): Raster => {
  const rgba = new Uint8Array(width * height * 4);
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) rgba.set(at(x, y), (y * width + x) * 4);
  return { width, height, rgba };
};
/** A number for a place that looks like chance. */
const odd = (x: number, y: number, k: number): number => (x * 73 + y * 151 + k * 57 + x * y * 13) % 256;
const mean = ({ rgba, width, height }: Raster, k: number): number => {
  let sum = 0;
  for (let i = 0; i < width * height; i++) sum += toLinear(rgba[i * 4 + k] / 255);
  return sum / (width * height);
};

describe('halving a picture', () => {
  it('takes the mean of light, not of code values', () => {
    const { width, height, rgba } = halved(raster(16, 16, (x) => (x % 2 ? [255, 255, 255, 255] : [0, 0, 0, 255])));
    expect([width, height]).toEqual([8, 8]);
    // half the light is code value 188 of sRGB, half the code values would be 128
    expect(new Set(rgba)).toEqual(new Set([188, 255]));
  });

  it.each([
    [32, 24],
    [33, 24],
    [17, 9],
    [5, 1],
  ])('keeps the mean light of %i × %i pixels', (width, height) => {
    const whole = raster(width, height, (x, y) => [odd(x, y, 0), odd(x, y, 1), odd(x, y, 2), 255]);
    for (const k of [0, 1, 2]) expect(mean(halved(whole), k)).toBeCloseTo(mean(whole, k), 2);
  });

  it('is the same by the short way and the long way', () => {
    const whole = raster(20, 14, (x, y) => [odd(x, y, 0), odd(x, y, 1), odd(x, y, 2), 255]);
    // one pixel that is hardly less there takes the long way
    const nearly = raster(20, 14, (x, y) => [odd(x, y, 0), odd(x, y, 1), odd(x, y, 2), x + y === 0 ? 254 : 255]);
    const [a, b] = [halved(whole).rgba, halved(nearly).rgba];
    for (let i = 4; i < a.length; i++) expect(Math.abs(a[i] - b[i])).toBeLessThan(2);
  });

  it('takes no colour from what is not there', () => {
    const { rgba } = halved(raster(2, 2, (x) => (x ? [200, 40, 90, 255] : [0, 0, 0, 0])));
    expect([...rgba]).toEqual([200, 40, 90, 128]);
  });

  it('has as many levels as a texture, each of the size it says', () => {
    for (const [width, height] of [
      [640, 360],
      [1, 7],
      [100, 33],
    ]) {
      const levels = levelsOf(raster(width, height, () => [9, 9, 9, 255]));
      expect(levels).toHaveLength(levelCount(width, height));
      levels.forEach((level, i) => expect([level.width, level.height]).toEqual(sizeAt(width, height, i)));
    }
  });

  it('goes no further than one pixel', () => {
    expect(
      reduced(
        raster(2, 1, () => [1, 2, 3, 255]),
        9,
      ),
    ).toMatchObject({ width: 1, height: 1 });
  });
});

describe('light multiplied by alpha', () => {
  it('leaves alone what is there all over', () => {
    const whole = raster(3, 3, () => [50, 60, 70, 255]);
    expect(premultiplied(whole).rgba).toBe(whole.rgba);
  });

  it('multiplies light, not code values', () => {
    const { rgba } = premultiplied(raster(1, 1, () => [255, 255, 0, 128]));
    expect([...rgba]).toEqual([188, 188, 0, 128]);
  });
});
