import { PNG } from 'pngjs';
import { describe, expect, it } from 'vitest';
import { readPng, writePng, type PngPicture } from './png';

const samples = (length: number, most: number): number[] =>
  Array.from({ length }, (_, i) => (i * 7919 + ((i * i) >> 3)) % (most + 1));
const picture = (width: number, height: number, channels: 3 | 4, bits: 8 | 16): PngPicture => {
  const values = samples(width * height * channels, 2 ** bits - 1);
  return { width, height, channels, samples: bits === 8 ? Uint8Array.from(values) : Uint16Array.from(values) };
};

describe('PNG', () => {
  // outside reference: pngjs decodes what we write
  it.each([
    [1, 1, 3],
    [7, 5, 4],
    [64, 33, 3],
  ] as const)('%d×%d of %d channels decodes to the same 8-bit pixels', (width, height, channels) => {
    const own = picture(width, height, channels, 8);
    const decoded = PNG.sync.read(Buffer.from(writePng(own)));
    expect([decoded.width, decoded.height]).toEqual([width, height]);
    for (let i = 0; i < width * height; i++)
      expect([...decoded.data.subarray(i * 4, i * 4 + 4)]).toEqual(
        channels === 4 ? [...own.samples.subarray(i * 4, i * 4 + 4)] : [...own.samples.subarray(i * 3, i * 3 + 3), 255],
      );
  });

  it.each([3, 4] as const)('16-bit samples of %d channels decode to the same', (channels) => {
    const own = picture(13, 9, channels, 16);
    // its types know bytes only
    const read = PNG.sync.read as (bytes: Buffer, options: { skipRescale: boolean }) => { data: unknown };
    const data = read(Buffer.from(writePng(own)), { skipRescale: true }).data as Uint16Array;
    const decoded = Array.from({ length: 13 * 9 }, (_, i) => [...data.slice(i * 4, i * 4 + channels)]).flat();
    expect(decoded).toEqual([...own.samples]);
  });

  it.each([
    [8, 3],
    [8, 4],
    [16, 3],
    [16, 4],
  ] as const)('%d bits of %d channels are read again', (bits, channels) => {
    const own = picture(9, 6, channels, bits);
    expect(readPng(writePng(own))).toEqual(own);
    expect(writePng(own)).toEqual(writePng(own));
  });

  it('a damaged or shortened one is refused', () => {
    const bytes = writePng(picture(9, 6, 3, 16));
    const damaged = bytes.slice();
    damaged[80] ^= 4;
    expect(() => readPng(damaged)).toThrow('damaged');
    expect(() => readPng(bytes.subarray(0, 90))).toThrow(RangeError);
  });

  it('refuses samples that do not fill the size', () => {
    expect(() => writePng({ width: 2, height: 2, channels: 4, samples: new Uint8Array(10) })).toThrow(
      '2×2 needs 16 samples, not 10',
    );
  });
});
