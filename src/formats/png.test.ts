import { PNG } from 'pngjs';
import { describe, expect, it } from 'vitest';
import { readPng, writePng } from './png';

describe('PNG', () => {
  // outside reference: pngjs decodes what we write
  it.each([
    [1, 1],
    [7, 5],
    [64, 33],
  ])('%d×%d decodes to the same pixels', (width, height) => {
    const rgba = Uint8Array.from({ length: width * height * 4 }, (_, i) =>
      i % 4 === 3 ? 255 : (i * 37 + ((i * i) >> 3)) & 255,
    );
    const decoded = PNG.sync.read(Buffer.from(writePng(rgba, width, height)));
    expect([decoded.width, decoded.height]).toEqual([width, height]);
    expect(new Uint8Array(decoded.data)).toEqual(rgba);
  });

  it('with alpha decodes to the same pixels, and is read again', () => {
    const rgba = Uint8Array.from({ length: 9 * 6 * 4 }, (_, i) => (i * 53 + ((i * i) >> 2)) & 255);
    const written = writePng(rgba, 9, 6, true);
    expect(new Uint8Array(PNG.sync.read(Buffer.from(written)).data)).toEqual(rgba);
    expect(readPng(written)).toEqual({ width: 9, height: 6, channels: 4, pixels: rgba });
    expect(readPng(writePng(rgba, 9, 6)).pixels).toEqual(rgba.filter((_, i) => i % 4 !== 3));
  });

  it('the same pixels are the same bytes', () => {
    const rgba = new Uint8Array(64 * 4).fill(90);
    expect(writePng(rgba, 8, 8)).toEqual(writePng(rgba, 8, 8));
  });

  it('refuses bytes that do not fill the size', () => {
    expect(() => writePng(new Uint8Array(10), 2, 2)).toThrow('2×2 needs 16 bytes, not 10');
  });
});
