import { describe, expect, it } from 'vitest';
import { tryFile } from '../../tests/fuzz/files';
import { stockBytes } from '../../tests/stock';
import { examined } from './examine';

describe('what is brought in', () => {
  // packed fonts and clips, some of which keep their libraries busy without end, are for `npm run fuzz:files`, which can end them
  it.each(['sfnt', 'svg', 'zip', 'glb', 'gltf', 'obj', 'ply', 'stl'])(
    '100 damaged files of %s are used or refused in words, none for long',
    async (format) => {
      const tried = [];
      for (let index = 0; index < 100; index++) tried.push(await tryFile(format, 3, index));
      expect(tried.flatMap(({ mishap }) => mishap ?? [])).toEqual([]);
      // neither is everything refused, nor everything let through
      const accepted = tried.filter((one) => one.accepted).length;
      expect(accepted).toBeGreaterThan(2);
      expect(accepted).toBeLessThan(60);
    },
  );

  it('is what its bytes say, whatever it is called', async () => {
    expect(await examined(stockBytes('fonts/anton.woff2'), 'anton.svg')).toBe('font');
    expect(await examined(stockBytes('marks/tide.svg'), 'tide.ttf')).toBe('mark');
    expect(await examined(stockBytes('pictures/rope-weave.webp'), 'rope.mp4')).toBe('picture');
    expect(await examined(stockBytes('clips/lamp-test.webm'), 'lamps.png')).toBe('clip');
  });

  it('is refused when it is too large, before it is read', async () => {
    const large = new Uint8Array(5e6).fill(32);
    large.set(stockBytes('marks/tide.svg'));
    await expect(examined(large, 'large.svg')).rejects.toThrow('“large.svg” is 5.0 MB; the most is 4.0 MB');
  });

  it('is refused when it is empty, or a piece', async () => {
    await expect(examined(new Uint8Array(), 'none.ttf')).rejects.toThrow(/neither a font, a drawing/);
    await expect(examined(new TextEncoder().encode('{}'), 'a.json')).rejects.toThrow(/neither a font, a drawing/);
  });
});
