import { describe, expect, it } from 'vitest';
import type { VisiblePart } from '../frame/visible';
import { joined, stretchesOf } from './sorter';

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

  it('lists follow one another', () => {
    expect([...joined([Int32Array.of(1, 2), new Int32Array(), Int32Array.of(3, 4)])]).toEqual([1, 2, 3, 4]);
    expect(joined([])).toHaveLength(0);
  });
});
