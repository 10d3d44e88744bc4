import { describe, expect, it } from 'vitest';
import { GROUP, pickedOf, placesOf } from './picked';

describe('what is picked of elements in rows', () => {
  it('is so many of every group, and all of them at a density of 1', () => {
    expect([1, 0.7, 0.5, 0.35, 0.25].map(pickedOf)).toEqual([GROUP, 14, 10, 7, 5]);
    expect(pickedOf(0)).toBe(1);
    expect(pickedOf(3)).toBe(GROUP);
  });

  it('keeps stretches that follow one another so, and is all of a layer but a last group that is not whole', () => {
    const stretches = [
      { first: 0, count: 33 },
      { first: 33, count: 90 },
      { first: 123, count: 40 },
    ];
    for (const density of [1, 0.7, 0.5, 0.25]) {
      const picked = pickedOf(density);
      let at = 0;
      for (const stretch of stretches) {
        const places = placesOf(stretch, picked);
        expect(places.first).toBe(at);
        at += places.count;
      }
      expect(at).toBe(density === 1 ? 163 : 8 * picked);
    }
  });
});
