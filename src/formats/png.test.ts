import { PNG } from 'pngjs';
import { describe, expect, it } from 'vitest';
import { writePng } from './png';

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

  it('the same pixels are the same bytes', () => {
    const rgba = new Uint8Array(64 * 4).fill(90);
    expect(writePng(rgba, 8, 8)).toEqual(writePng(rgba, 8, 8));
  });

  it('refuses bytes that do not fill the size', () => {
    expect(() => writePng(new Uint8Array(10), 2, 2)).toThrow('2×2 needs 16 bytes, not 10');
  });
});
