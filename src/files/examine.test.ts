import { describe, expect, it } from 'vitest';
import { tryFile } from '../../tests/fuzz/files';
import { stockBytes } from '../../tests/stock';
import { examined } from './examine';

describe('what is brought in', () => {
  // packed fonts, some of which keep the library busy without end, are for `npm run fuzz:files`, which can end them
  it.each(['sfnt', 'svg', 'zip'])('100 damaged files of %s are used or refused in words, none for long', (format) => {
    const tried = Array.from({ length: 100 }, (_, index) => tryFile(format, 3, index));
    expect(tried.flatMap(({ mishap }) => mishap ?? [])).toEqual([]);
    // neither is everything refused, nor everything let through
    const accepted = tried.filter((one) => one.accepted).length;
    expect(accepted).toBeGreaterThan(2);
    expect(accepted).toBeLessThan(60);
  });

  it('is what its bytes say, whatever it is called', () => {
    expect(examined(stockBytes('fonts/anton.woff2'), 'anton.svg')).toBe('font');
    expect(examined(stockBytes('marks/tide.svg'), 'tide.ttf')).toBe('mark');
  });

  it('is refused when it is too large, before it is read', () => {
    const large = new Uint8Array(5e6).fill(32);
    large.set(stockBytes('marks/tide.svg'));
    expect(() => examined(large, 'large.svg')).toThrow('“large.svg” is 5.0 MB; the most is 4.0 MB');
  });

  it('is refused when it is empty, or a piece', () => {
    expect(() => examined(new Uint8Array(), 'none.ttf')).toThrow(/neither a font nor an SVG drawing/);
    expect(() => examined(new TextEncoder().encode('{}'), 'a.json')).toThrow(/neither a font nor an SVG drawing/);
  });
});
