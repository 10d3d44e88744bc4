import { describe, expect, it } from 'vitest';
import type { VisiblePart } from '../frame/visible';
import { gathered, stretchesOf } from './sorter';

const part = (repetition: number, first: number, count: number): VisiblePart => ({
  repetition,
  offset: repetition * 8,
  near: 0,
  far: 1,
  part: { from: 0, to: 1, first, count },
});

describe('the stretches that are sorted', () => {
  it('join what lies next to each other in one repetition, and nothing else', () => {
    const at = [part(-1, 0, 10), part(-1, 10, 5), part(-1, 20, 5), part(0, 25, 5), part(0, 30, 0)];
    expect(stretchesOf(at, 0, 100)).toEqual([
      { repetition: -1, first: 0, count: 15, row: 0 },
      { repetition: -1, first: 20, count: 5, row: 0 },
      { repetition: 0, first: 25, count: 5, row: 0 },
    ]);
  });

  it('of a layer that is not in parts are all that the drawing has', () => {
    expect(stretchesOf([part(0, 0, Infinity), part(1, 0, Infinity)], 7, 3)).toEqual([
      { repetition: 0, first: 7, count: 3, row: 0 },
      { repetition: 1, first: 7, count: 3, row: 0 },
    ]);
    expect(stretchesOf([part(0, 0, Infinity)], 0, 0)).toEqual([]);
  });

  it('are put in order class by class, what is not in sight left out', () => {
    const stretches = [
      { repetition: -1, first: 4, count: 3 },
      { repetition: 2, first: 0, count: 4 },
    ];
    const classes = Uint16Array.of(2, 0, 1, 0, 3, 1, 2);
    const pairs = new Int32Array(14).fill(-9);
    const sorting = (order: Uint32Array | null) => ({ program: { order }, classes: 4 });
    expect(gathered(classes, stretches, sorting(null), pairs)).toEqual([0, 2, 4, 5, 5]);
    expect([...pairs]).toEqual([6, -1, 2, 2, 4, -1, 3, 2, 1, 2, -9, -9, -9, -9]);
    // places of a drawing order are its elements
    const order = Uint32Array.of(10, 11, 12, 13, 14, 15, 16);
    expect(gathered(classes, stretches, sorting(order), pairs)).toEqual([0, 2, 4, 5, 5]);
    expect([...pairs.subarray(0, 10)]).toEqual([16, -1, 12, 2, 14, -1, 13, 2, 11, 2]);
    // the least rank of a class comes first, and what has the same as it comes
    const ranked = Uint16Array.of(2 + 256 * 9, 0, 1, 0, 3, 1, 2 + 256 * 8);
    expect(gathered(ranked, stretches, sorting(null), pairs)).toEqual([0, 2, 4, 5, 5]);
    expect([...pairs.subarray(0, 10)]).toEqual([6, -1, 2, 2, 3, 2, 4, -1, 1, 2]);
    expect(gathered(new Uint16Array(), [], sorting(null), pairs)).toEqual([0, 0, 0, 0, 0]);
  });
});
