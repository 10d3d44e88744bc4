import { describe, expect, it } from 'vitest';
import { besideOneAnother } from './seams';

/** How often a block's sides are halved: at the least column, the last, the first row and the last. */
const sidesOf = (code: number): number[] => [0, 2, 4, 6].map((bits) => (code >> bits) & 3);

describe('blocks of a sheet beside one another', () => {
  it('have along a side the vertices of the one that has fewer', () => {
    // two across and two along: block 0 is finest, 1 is halved once, 3 three times; 2 is not in sight
    const seen = { pairs: Int32Array.of(0, 5, 1, 5, 3, 5), starts: [0, 1, 2, 2, 3] };
    const out = besideOneAnother(seen, 2, 2);
    expect([...out].filter((_, i) => i % 3 < 2)).toEqual([0, 5, 1, 5, 3, 5]);
    expect(sidesOf(out[2])).toEqual([0, 1, 0, 0]);
    expect(sidesOf(out[5])).toEqual([1, 1, 1, 3]);
    expect(sidesOf(out[8])).toEqual([3, 3, 3, 3]);
  });

  it('meet those of the next repetition, and nothing across the sides of the sheet', () => {
    // one block of each of three repetitions, three across: the last of each row of blocks has the first of the next by number
    const seen = { pairs: Int32Array.of(2, -1, 2, 1, 2, 0, 0, 1), starts: [0, 2, 2, 4, 4] };
    const out = besideOneAnother(seen, 3, 1);
    expect(sidesOf(out[2])).toEqual([0, 0, 0, 2]);
    expect(sidesOf(out[5])).toEqual([0, 0, 2, 0]);
    expect(sidesOf(out[8])).toEqual([2, 2, 2, 2]);
  });

  it('of which none is in sight are none', () => {
    expect(besideOneAnother({ pairs: new Int32Array(), starts: [0, 0, 0, 0, 0] }, 4, 4)).toHaveLength(0);
  });
});
