import { describe, expect, it } from 'vitest';
import { readNumber } from './readNumber';

describe('typed numbers', () => {
  it.each([
    ['2.5', '', 2.5],
    ['2,5', 'm', 2.5],
    ['1/5', 'turns', 0.2],
    ['(1+2)/4', '', 0.75],
    ['-3*2', '', -6],
    ['−4', '', -4],
    ['1e-3', '', 0.001],
    ['40 cm', 'm', 0.4],
    ['1.2 m', 'mm', 1200],
    ['72°', 'turns', 0.2],
    ['½', '', null],
    ['', '', null],
    ['2 +', '', null],
    ['(1', '', null],
    ['4 apples', 'm', null],
    ['1/0', '', null],
  ])('%s in %s is %s', (text, unit, value) => {
    const read = readNumber(text, unit);
    if (value === null) expect(read).toBeNull();
    else expect(read).toBeCloseTo(value, 9);
  });

  it('a time in a field of degrees that a frame turns by, at 25 frames a second', () => {
    const units = { s: 360 * 25, ms: 0.36 * 25 };
    expect(readNumber('1/50 s', '°', units)).toBeCloseTo(180, 9);
    expect(readNumber('20ms', '°', units)).toBeCloseTo(180, 9);
    expect(readNumber('90', '°', units)).toBe(90);
    // elsewhere degrees are no time
    expect(readNumber('1/50 s', '°')).toBeNull();
  });
});
